import { t } from '@jasperwren/words/desk';
import Button from '@mui/material/Button';
import { Panel } from './Panel';
import { ReasonForm } from './ReasonForm';
import type { DeskActions } from './desk-actions';

const reasons = [t('toiletStop'), t('breakdown'), t('unsafeWeather'), t('talkingItOver'), t('roadClosed')];

/** Shown once the clock stands: why, in one touch, and on again. */
export function PausePanel({ pauseId, actions }: { readonly pauseId: string; readonly actions: DeskActions }) {
  return (
    <Panel title={t('pausedWhy')}>
      <ReasonForm reasons={reasons} action={t('save')} onGiven={(reason) => actions.note(reason, pauseId)} />
      <Button variant="contained" onClick={() => void actions.switchPause()}>
        {t('resume')}
      </Button>
    </Panel>
  );
}
