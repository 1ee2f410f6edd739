import { courseChance, exerciseHistory, type ExerciseResult } from '@jasperwren/core/yard/exercise-history';
import { percent } from '@jasperwren/words/lists';
import { t } from '@jasperwren/words/yard-history';
import { clockTime } from '../ui/format';
import styles from './yard-pages.module.css';

interface Props {
  /** The exercises of each drive under the learner's standard, oldest first. */
  readonly drives: readonly (readonly ExerciseResult[])[];
  /** How many exercises the course has. */
  readonly count: number;
}

/** So many of the last times are shown. */
const lastTimes = 3;

/** The exercises of a course over a learner's mock tests: times, passes and the chance of the next one. */
export default function ExerciseTable({ drives, count }: Props) {
  const history = exerciseHistory(drives);
  const chance = courseChance(history, count);
  const weakest = history.reduce((a, b) => (b.chance.mean < a.chance.mean ? b : a));
  return (
    <>
      <p>
        {t('weakest', { name: weakest.name, passed: weakest.passed, count: weakest.results.length })}{' '}
        {chance !== undefined && t('wholeCourse', { chance: percent(chance) })}
      </p>
      <div>
        <table className={styles.table}>
          <thead>
            <tr>
              <th scope="col">{t('exercise')}</th>
              <th scope="col">{t('passed')}</th>
              <th scope="col">{t('nextTime')}</th>
              <th scope="col">{t('times')}</th>
            </tr>
          </thead>
          <tbody>
            {history.map(({ exercise, name, results, passed, chance: own }) => (
              <tr key={exercise}>
                <th scope="row">{name}</th>
                <td>{t('passedOf', { passed, count: results.length })}</td>
                <td>{t('chance', { mean: percent(own.mean), low: percent(own.low), high: percent(own.high) })}</td>
                <td className={styles.times}>
                  {results.slice(-lastTimes).map((result, i) => (
                    // Results stand in their order and never move.
                    <div key={i}>{timeWords(result)}</div>
                  ))}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      </div>
      <p className="muted">{t('caution')}</p>
    </>
  );
}

function timeWords({ timeMs, allowedS }: ExerciseResult): string {
  const time = clockTime(timeMs);
  if (allowedS === undefined) return time;
  const leftS = allowedS - Math.ceil(timeMs / 1000);
  return leftS >= 0 ? t('timeLeft', { time, left: leftS }) : t('timeOver', { time, over: -leftS });
}
