import { t } from '@jasperwren/words/questions';
import Button from '@mui/material/Button';
import type { AccessKind } from '@jasperwren/contract/access';
import dayjs from 'dayjs';
import { api } from '../base/api';
import { apiError } from '../base/client';
import { CopyField } from '../ui/CopyField';
import { longDate } from '../ui/format';
import { told } from '../ui/told';
import styles from './safety-questions.module.css';

/** Lets a learner drill alone: by a code read out now, or an invitation to send. */
export function Access({ learnerId, name }: { readonly learnerId: string; readonly name: string }) {
  const [letIn, { data: code, error, isLoading, originalArgs }] = api.useLetInMutation();
  const [end] = api.useEndAccessMutation();
  const make = (kind: AccessKind) => void letIn({ learnerId, body: { kind } });
  const close = async () => {
    told(await end({ learnerId }), t('nameIsSignedOutEverywhere', { name }));
  };
  return (
    <div className={styles.access}>
      <p className="muted">{t('nameSeesTheirOwnPracticeThe', { name })}</p>
      <div className={styles.buttons}>
        <Button variant="outlined" disabled={isLoading} onClick={() => make('code')}>
          {t('createCode')}
        </Button>
        <Button variant="outlined" disabled={isLoading} onClick={() => make('invitation')}>
          {t('invitationToSend')}
        </Button>
        <Button variant="text" onClick={() => void close()}>
          {t('signNameOutEverywhere', { name })}
        </Button>
      </div>
      {error && <p role="alert">{apiError(error)?.message}</p>}
      {code && originalArgs?.body.kind === 'code' && (
        <p role="status">
          <b className={styles.code}>{code.code}</b>{' '}
          {t('atHostLearnUntilDayjs', { host: window.location.host, dayjs: dayjs(code.expiresAt).format('HH:mm') })}
        </p>
      )}
      {code && originalArgs?.body.kind === 'invitation' && (
        <CopyField label={t('worksOnceUntilDate', { date: longDate(code.expiresAt) })} path={code.path} />
      )}
    </div>
  );
}
