import { t } from '@jasperwren/words/offline';
import dayjs from 'dayjs';
import { useSyncExternalStore } from 'react';
import { keepStatus } from '../base/keep/keep-status';
import { keepForDriving } from '../base/keep/keep-for-driving';
import Button from '@mui/material/Button';

/** Whether a drive can be begun here without a network; nothing where the browser cannot keep anything. */
export default function ReadyOffline() {
  const status = useSyncExternalStore(keepStatus.subscribe, keepStatus.now);
  if (status.state === 'unknown') return null;
  return (
    <p className="muted" role="status">
      {status.state === 'ready' ? t('ready', { time: dayjs(status.at).format('HH:mm') }) : t(status.state)}
      {status.state === 'incomplete' && (
        <Button variant="text" onClick={() => void keepForDriving()}>
          {t('tryAgain')}
        </Button>
      )}
    </p>
  );
}
