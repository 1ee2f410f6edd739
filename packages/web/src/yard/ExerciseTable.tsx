import type { Exercise } from '@jasperwren/core/marking/exercise';
import {
  courseChance,
  exerciseHistory,
  type ExerciseHistory,
  type ExerciseResult,
} from '@jasperwren/core/yard/exercise-history';
import { percent } from '@jasperwren/words/lists';
import { resultWords, t, tightestWords } from '@jasperwren/words/yard-history';
import styles from './yard-pages.module.css';

interface Props {
  /** The exercises of each drive under the learner's standard, oldest first. */
  readonly drives: readonly (readonly ExerciseResult[])[];
  /** The exercises of the course. */
  readonly exercises: readonly Exercise[];
}

/** So many of the last times are shown. */
const lastTimes = 3;

/** The exercises of a course over a learner's mock tests: times, passes and the chance of the next one. */
export default function ExerciseTable({ drives, exercises }: Props) {
  const history = exerciseHistory(drives);
  const chance = courseChance(history, exercises);
  const weakest = history.reduce((a, b) => (b.chance.mean < a.chance.mean ? b : a));
  const tightest = tightestExercise(history);
  return (
    <>
      <p>
        {t('weakest', { name: weakest.name, passed: weakest.passed, count: weakest.results.length })}{' '}
        {chance !== undefined && t('wholeCourse', { chance: percent(chance) })} {tightest && tightestWords(tightest)}
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
                    <div key={i}>{resultWords(result)}</div>
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

/** The exercise whose last time left the least of what it allows. */
function tightestExercise(history: readonly ExerciseHistory[]): ExerciseResult | undefined {
  const share = ({ timeMs, allowedS }: ExerciseResult) => timeMs / 1000 / allowedS!;
  return history
    .flatMap(({ results }) => results.at(-1) ?? [])
    .filter(({ allowedS }) => allowedS !== undefined)
    .toSorted((a, b) => share(b) - share(a))[0];
}
