import { t } from '@jasperwren/words/questions';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import type { SafetyQuestion } from '@jasperwren/core/safety-questions/question';
import { inCar, type VehicleProfile } from '@jasperwren/core/safety-questions/vehicle';
import styles from './drill.module.css';

interface Props {
  readonly question: SafetyQuestion;
  readonly vehicle: VehicleProfile | undefined;
  readonly heard: readonly string[];
  /** Left out where the points are only to be read. */
  readonly onHeard?: ((heard: readonly string[]) => void) | undefined;
}

/** The key points of an answer, in the words of the car, to be ticked off or to be read. */
export function PointTicks({ question, vehicle, heard, onHeard }: Props) {
  const toggle = (code: string) =>
    onHeard?.(heard.includes(code) ? heard.filter((one) => one !== code) : [...heard, code]);
  return (
    <ul className={styles.points}>
      {question.points.map(({ code, text, critical }) => (
        <li key={code} data-heard={heard.includes(code)}>
          {onHeard ? (
            <FormControlLabel
              control={<Checkbox checked={heard.includes(code)} onChange={() => toggle(code)} />}
              label={<PointText text={inCar(text, vehicle)} critical={critical} />}
            />
          ) : (
            <span className={styles.read}>
              <b>{heard.includes(code) ? t('heard') : t('missed')}</b>
              <PointText text={inCar(text, vehicle)} critical={critical} />
            </span>
          )}
        </li>
      ))}
    </ul>
  );
}

function PointText({ text, critical }: { readonly text: string; readonly critical: boolean }) {
  return (
    <span>
      {text} {critical && <small className={styles.critical}>{t('required')}</small>}
    </span>
  );
}
