import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import { assumptionBounds, defaultAssumptions, type Assumptions } from '@jasperwren/core/readiness/assumptions';
import styles from './readiness.module.css';

interface Props {
  readonly assumptions: Assumptions;
  readonly onChange: (assumptions: Assumptions) => void;
}

const names = Object.keys(assumptionBounds) as readonly (keyof Assumptions)[];

/** Everything that is taken for granted, to be changed; the figure above follows at once. */
export function AssumptionFields({ assumptions, onChange }: Props) {
  const changed = names.some((name) => assumptions[name] !== defaultAssumptions[name]);
  return (
    <div>
      {names.map((key) => {
        const { name, unit, min, max, step } = assumptionBounds[key];
        return (
          <div key={key} className={styles.assumption}>
            <span id={`assumption-${key}`}>
              {name} <b>{assumptions[key]}</b> {unit}
              {assumptions[key] !== defaultAssumptions[key] && <small> (usually {defaultAssumptions[key]})</small>}
            </span>
            <Slider
              aria-labelledby={`assumption-${key}`}
              size="small"
              value={assumptions[key]}
              min={min}
              max={max}
              step={step}
              onChange={(_, value) => onChange({ ...assumptions, [key]: value })}
            />
          </div>
        );
      })}
      {changed && (
        <Button variant="text" onClick={() => onChange(defaultAssumptions)}>
          Back to the usual ones
        </Button>
      )}
    </div>
  );
}
