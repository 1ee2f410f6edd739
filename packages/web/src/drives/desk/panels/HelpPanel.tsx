import { t } from '@jasperwren/words/help-given';
import { helpIn, type Drive } from '@jasperwren/core/drive/drive';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import Button from '@mui/material/Button';
import { helpLine } from '../../help-line';
import { HelpWhy } from '../../HelpWhy';
import type { DeskActions } from '../desk-actions';
import { Panel } from './Panel';

interface Props {
  readonly helpId: string;
  readonly standard: EffectiveStandard;
  readonly drive: Drive;
  readonly actions: DeskActions;
}

/** A prompt or taking control: what made it necessary, once parked. */
export function HelpPanel({ helpId, standard, drive, actions }: Props) {
  const help = helpIn(drive).find(({ id }) => id === helpId);
  if (!help) return null;
  return (
    <Panel title={helpLine(help).label}>
      <HelpWhy help={help} standard={standard} drive={drive} write={actions.keep} />
      <div>
        <Button variant="outlined" onClick={() => actions.removeHelp(help.id)}>
          {t('remove')}
        </Button>
      </div>
    </Panel>
  );
}
