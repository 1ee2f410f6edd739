import { assumptionWords } from '@jasperwren/words/assumptions';
import { t } from '@jasperwren/words/readiness';
import Button from '@mui/material/Button';
import Slider from '@mui/material/Slider';
import { assumptionBounds, type Assumptions } from '@jasperwren/core/readiness/assumptions';
import styles from './readiness.module.css';

interface Props {
  readonly assumptions: Assumptions;
  /** Those of the school, to go back to. */
  readonly usual: Assumptions;
  readonly onChange: (assumptions: Assumptions) => void;
}

const names = Object.keys(assumptionBounds) as readonly (keyof Assumptions)[];

/** No finer than the step by which it can be changed. */
const figure = (value: number, step: number): string => value.toFixed(step >= 1 ? 0 : step >= 0.1 ? 1 : 2);

/** Everything the estimate assumes, to be tried otherwise; the figure above follows at once. */
export function AssumptionFields({ assumptions, usual, onChange }: Props) {
  const changed = names.some((name) => assumptions[name] !== usual[name]);
  return (
    <div>
      {names.map((key) => {
        const { min, max, step } = assumptionBounds[key];
        return (
          <div key={key} className={styles.assumption}>
            <span id={`assumption-${key}`}>
              {assumptionWords(key, figure(assumptions[key], step))}
              {assumptions[key] !== usual[key] && (
                <small> {t('yourSchoolFigure', { figure: figure(usual[key], step) })}</small>
              )}
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
        <Button variant="text" onClick={() => onChange(usual)}>
          {t('resetToYourSchoolsFigures')}
        </Button>
      )}
    </div>
  );
}
