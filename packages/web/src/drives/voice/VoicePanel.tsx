import { t } from '@jasperwren/words/voice';
import Button from '@mui/material/Button';
import { useAppDispatch, useAppSelector } from '../../base/hooks';
import { stepBack } from '../desk/desk-slice';
import { Panel } from '../desk/panels/Panel';
import styles from './voice.module.css';
import { agreedSet } from './voice-slice';

/** Whether a few words may be spoken with a pin on this drive, asked of everybody in the car. */
export default function VoicePanel({ driveId, name }: { readonly driveId: string; readonly name: string }) {
  const dispatch = useAppDispatch();
  const agreed = useAppSelector(({ voice }) => voice.agreed[driveId] ?? false);
  const set = (to: boolean) => {
    dispatch(agreedSet({ driveId, agreed: to }));
    dispatch(stepBack());
  };
  return (
    <Panel title={t('spokenPins')}>
      <div className={styles.consent}>
        <p>{t('why')}</p>
        <p>{t('ask', { name })}</p>
        {agreed ? (
          <Button variant="contained" onClick={() => set(false)}>
            {t('turnOff')}
          </Button>
        ) : (
          <Button variant="contained" onClick={() => set(true)}>
            {t('agreed', { name })}
          </Button>
        )}
      </div>
    </Panel>
  );
}
