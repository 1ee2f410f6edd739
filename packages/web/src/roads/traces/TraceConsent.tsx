import { t } from '@jasperwren/words/traces';
import Button from '@mui/material/Button';
import { useAppDispatch, useAppSelector } from '../../base/hooks';
import { recordingSet, type RecordedFrom } from './recording-slice';
import styles from './recording.module.css';

interface Props {
  readonly driveId: string;
  /** First name of the learner, who has to agree. */
  readonly name: string;
  readonly hasRoute: boolean;
  readonly onDone: () => void;
}

/** Asks whether the car's way may be noted; nothing is before somebody says yes. */
export default function TraceConsent({ driveId, name, hasRoute, onDone }: Props) {
  const dispatch = useAppDispatch();
  const on = useAppSelector(({ recording }) => recording.from[driveId] !== undefined);
  const fixes = useAppSelector(({ recording }) => recording.fixes[driveId] ?? 0);
  const set = (from: RecordedFrom | undefined) => {
    dispatch(recordingSet({ driveId, from }));
    onDone();
  };
  if (on)
    return (
      <div className={styles.consent}>
        <p role="status">{t('recordingFixes', { fixes })}</p>
        <Button variant="contained" onClick={() => set(undefined)}>
          {t('stopRecording')}
        </Button>
      </div>
    );
  return (
    <div className={styles.consent}>
      <p>{t('recordWhy')}</p>
      <p>{t('recordAsk', { name })}</p>
      <p>{t('recordScreen')}</p>
      <Button variant="contained" onClick={() => set('device')}>
        {t('agreed', { name })}
      </Button>
      {hasRoute && (
        <Button variant="text" onClick={() => set('simulated')}>
          {t('simulate')}
        </Button>
      )}
    </div>
  );
}
