import { t, whyHelp } from '@jasperwren/words/help-given';
import type { Drive, Help, HelpKind } from '@jasperwren/core/drive/drive';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { clockTime } from '../../ui/format';
import { GradeSign } from '../../ui/GradeSign';
import { helpLine } from '../help-line';
import styles from './debrief.module.css';

interface Props {
  readonly help: Help & { readonly kind: HelpKind };
  readonly standard: EffectiveStandard;
  readonly drive: Drive;
  readonly chosen: boolean;
}

/** Help as it is told: when, and what made it necessary. */
export function HelpToldRow({ help, standard, drive, chosen }: Props) {
  const { name, time, label } = helpLine(help);
  const why = whyHelp(standard, help, drive.marks, clockTime);
  return (
    <li id={`told-${help.id}`} className={styles.mark} data-chosen={chosen} aria-label={label}>
      <GradeSign sign={help.kind} size={24} />
      <b>{time}</b>
      <div>
        <b>{name}</b>
        {why && <p>{t('madeNecessaryBy', { why })}</p>}
      </div>
    </li>
  );
}
