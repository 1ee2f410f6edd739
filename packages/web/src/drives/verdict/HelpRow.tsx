import { t } from '@jasperwren/words/help-given';
import Button from '@mui/material/Button';
import type { Drive, Help, HelpKind } from '@jasperwren/core/drive/drive';
import type { EventBody } from '@jasperwren/core/drive/event';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { GradeSign } from '../../ui/GradeSign';
import { helpLine } from '../help-line';
import { HelpWhy } from '../HelpWhy';
import styles from './verdict.module.css';

interface Props {
  readonly help: Help & { readonly kind: HelpKind };
  readonly standard: EffectiveStandard;
  readonly drive: Drive;
  readonly write: (body: EventBody) => unknown;
  readonly chosen: boolean;
}

/** A prompt or taking control among the faults of a finished drive, with what made it necessary. */
export function HelpRow({ help, standard, drive, write, chosen }: Props) {
  const { name, time, label } = helpLine(help);
  return (
    <li id={`mark-${help.id}`} className={styles.mark} data-chosen={chosen} aria-label={label}>
      <GradeSign sign={help.kind} size={24} />
      <b>{time}</b>
      <div>
        <b>{name}</b>
        <HelpWhy help={help} standard={standard} drive={drive} write={write} />
      </div>
      <Button
        variant="text"
        aria-label={t('removeHelpAtTime', { help: name, time })}
        onClick={() => write({ type: 'strike', target: help.id, because: 'removed' })}
      >
        {t('remove')}
      </Button>
    </li>
  );
}
