import { t } from '@jasperwren/words/desk';
import Button from '@mui/material/Button';
import styles from './panel.module.css';
import { Panel } from './Panel';
import { ReasonForm } from './ReasonForm';
import type { DeskActions } from '../desk-actions';

const reasons = ['toilet', 'breakdown', 'weather', 'talking', 'road-closed'] as const;

/** Shown once the clock stands: why, in one touch, and on again. */
export function PausePanel({ pauseId, actions }: { readonly pauseId: string; readonly actions: DeskActions }) {
  return (
    <Panel title={t('pausedWhy')}>
      <ReasonForm reasons={reasons} action={t('save')} onGiven={(why) => actions.sayWhyPaused(why, pauseId)} />
      <div className={styles.ends}>
        <Button variant="contained" onClick={() => void actions.switchPause()}>
          {t('resume')}
        </Button>
      </div>
    </Panel>
  );
}
