import { t as answers } from '@jasperwren/words/adviser-told';
import { t } from '@jasperwren/words/debrief';
import { whyMatters } from '@jasperwren/words/why-matters';
import { t as myths } from '@jasperwren/words/myths';
import { findBehaviour } from '@jasperwren/core/catalogue/catalogue';
import type { MarkTold } from '@jasperwren/core/debrief/marks-told';
import type { Grade } from '@jasperwren/core/marking/standard';
import type { ReactNode } from 'react';
import { clockTime } from '../../ui/format';
import { GradeSign } from '../../ui/GradeSign';
import styles from './debrief.module.css';

interface Props {
  readonly told: MarkTold;
  readonly grade: Grade | undefined;
  readonly name: string;
  readonly chosen: boolean;
  /** Where whoever debriefs adds to it. */
  readonly below?: ReactNode;
}

const partWords = {
  failed: 'thisFaultFailedTheTest',
  crossed: 'thisFaultCrossedTheLimit',
  counts: 'countsTowardsTheLimit',
} as const;

/** One mark as it is told: what, how serious, why, and what is wrongly believed about it. */
export function MarkToldRow({ told, grade, name, chosen, below }: Props) {
  const { mark, part, circumstances, spoke, tookControl, notes, myth, behaviour } = told;
  const grave = grade?.sign === 'outright' || grade?.sign === 'highest';
  const known = grave ? findBehaviour(behaviour) : undefined;
  // Where it was answered it is told with the rest.
  const answered = circumstances.some(({ question }) => question === 'help');
  const help = answered ? '' : tookControl ? t('theInstructorTookControl') : spoke ? t('theInstructorPrompted') : '';
  return (
    <li
      id={`told-${mark.id}`}
      className={styles.mark}
      data-chosen={chosen}
      aria-label={`${name}, ${grade?.name ?? mark.grade}, ${clockTime(mark.atMs)}`}
    >
      <GradeSign sign={grade?.sign ?? 'noted'} size={24} />
      <b>{clockTime(mark.atMs)}</b>
      <div>
        <b>{name}</b>
        <span className="muted">
          {' '}
          {grade?.name ?? mark.grade}
          {mark.step && t('missedStep', { step: mark.step })}
          {part && t(partWords[part])}
        </span>
        {known &&
          whyMatters(known).map((line) => (
            <p key={line} className={styles.more}>
              {line}
            </p>
          ))}
        {notes.map((note) => (
          <p key={note}>{note}</p>
        ))}
        {(circumstances.length > 0 || help) && (
          <p className={styles.more}>
            {circumstances.map(({ answer }) => answers(answer)).join(' ')} {help}
          </p>
        )}
        {myth && (
          <p className={`${styles.more} muted`}>
            “{myths(`${myth.code}.belief`)}” {myths(`${myth.code}.instead`)}
          </p>
        )}
        {below}
      </div>
    </li>
  );
}
