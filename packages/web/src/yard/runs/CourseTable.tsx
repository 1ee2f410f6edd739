import type { Mark } from '@jasperwren/core/drive/drive';
import { countingMarks } from '@jasperwren/core/marking/counting';
import { rulesOf } from '@jasperwren/core/marking/rules';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { courseSheet, type ExerciseSheet } from '@jasperwren/core/yard/course-sheet';
import type { JudgedRun } from '@jasperwren/core/yard/judge-run';
import { itemName } from '@jasperwren/words/marking/names';
import { reasonSentence } from '@jasperwren/words/marking/verdict';
import { spentSentence, t } from '@jasperwren/words/yard-pages';
import { clockTime } from '../../ui/format';
import { GradeSign } from '../../ui/GradeSign';
import styles from '../yard-pages.module.css';

interface Props {
  readonly standard: EffectiveStandard;
  readonly judged: Pick<JudgedRun, 'drive' | 'verdict'> & Partial<Pick<JudgedRun, 'spent'>>;
  readonly onFault: (markId: string) => void;
}

/** The exercises in the order of the course: time, faults and what failed each. */
export default function CourseTable({ standard, judged: { drive, verdict, spent = [] }, onFault }: Props) {
  const sheets = courseSheet(standard, drive, verdict, drive.lastMs);
  const own = new Set(sheets.flatMap(({ marks }) => marks.map(({ id }) => id)));
  const others = countingMarks(standard, drive).filter(({ id }) => !own.has(id));
  return (
    <div>
      <table className={styles.table}>
        <thead>
          <tr>
            <th scope="col">{t('exercise')}</th>
            <th scope="col">{t('time')}</th>
            <th scope="col">{t('faultsUsed')}</th>
            <th scope="col">{t('state')}</th>
          </tr>
        </thead>
        <tbody>
          {sheets.map((sheet) => (
            <tr key={sheet.exercise.code} data-state={sheet.state}>
              <th scope="row">{sheet.exercise.name}</th>
              <td className={styles.times}>
                {sheet.attempts.map((attempt, i) => (
                  <div key={i}>{timeWords(attempt)}</div>
                ))}
                {spent
                  .filter((one) => one.exercise === sheet.exercise.code)
                  .map((one, i) => (
                    <div key={i} className="muted">
                      {spentSentence(one)}
                    </div>
                  ))}
              </td>
              <td>
                {sheet.room && <div>{t('usedOf', { used: sheet.room.used, allowed: sheet.room.allowed })}</div>}
                <Faults standard={standard} marks={sheet.marks} onFault={onFault} />
              </td>
              <td>
                {t(sheet.state)}
                {sheet.failedBy && <div>{whyFailed(standard, sheet.failedBy)}</div>}
              </td>
            </tr>
          ))}
          {others.length > 0 && (
            <tr>
              <th scope="row">{t('wholeYard')}</th>
              <td />
              <td>
                <Faults standard={standard} marks={others} onFault={onFault} />
              </td>
              <td />
            </tr>
          )}
        </tbody>
      </table>
    </div>
  );
}

/** The fault that failed it, or the limit that was used up. */
const whyFailed = (standard: EffectiveStandard, reason: NonNullable<ExerciseSheet['failedBy']>): string =>
  reason.crossedBy && reason.limit.allowed.value === 0
    ? itemName(standard, reason.crossedBy.item)
    : reasonSentence(standard, reason);

function timeWords({ timeMs, allowedS }: ExerciseSheet['attempts'][number]): string {
  const time = t('seconds', { value: (timeMs / 1000).toFixed(1) });
  return allowedS === undefined ? time : t('timeOf', { time, allowed: t('seconds', { value: allowedS }) });
}

function Faults({
  standard,
  marks,
  onFault,
}: {
  readonly standard: EffectiveStandard;
  readonly marks: readonly Mark[];
  readonly onFault: (markId: string) => void;
}) {
  const { grades } = rulesOf(standard);
  return (
    <ul className={styles.found}>
      {marks.map((mark) => {
        const words = faultWords(standard, mark);
        return (
          <li key={mark.id}>
            <button type="button" aria-label={t('showFault', { fault: words })} onClick={() => onFault(mark.id)}>
              <GradeSign sign={grades.get(mark.grade)?.sign ?? 'noted'} size={18} />
              {clockTime(mark.atMs)} {words}
            </button>
          </li>
        );
      })}
    </ul>
  );
}

/** "Rolled back, demerit, 16 cm". */
function faultWords(standard: EffectiveStandard, { item, grade, measured }: Mark): string {
  const { items, grades } = rulesOf(standard);
  const found = items.get(item)?.item;
  const words = { fault: found?.name ?? item, grade: grades.get(grade)?.name ?? grade };
  return measured === undefined || !found?.measured
    ? t('fault', words)
    : t('faultMeasured', { ...words, value: measured, unit: found.measured.unit });
}
