import { t } from '@jasperwren/words/account';
import Button from '@mui/material/Button';
import { api } from '../base/api';
import { failureOf } from '../ui/failure';
import { longDate } from '../ui/format';
import { Rows } from '../ui/Page';
import { Failed, Loading } from '../ui/states';
import { told } from '../ui/told';
import styles from './account.module.css';

/** Where whoever is signed in is signed in, with a way to end each. */
export function SignIns() {
  const { data: signIns, ...asked } = api.useSignInsQuery();
  const failed = failureOf(asked);
  const [end] = api.useEndSignInMutation();
  const [endOthers] = api.useEndOtherSignInsMutation();
  if (failed) return <Failed {...failed} />;
  if (!signIns) return <Loading what={t('signIns')} />;
  return (
    <>
      <Rows>
        {signIns.map(({ id, device, address, createdAt, seenAt, current }) => (
          <li key={id} className={styles.signIn}>
            <span>
              <b>{device}</b> {current && t('thisDevice')}
            </span>
            <span className="muted">
              {t('addressSinceDateLastUsedDate2', { address, date: longDate(createdAt), date2: longDate(seenAt) })}
            </span>
            {!current && (
              <Button
                variant="text"
                aria-label={t('signOutDevice', { device })}
                onClick={() =>
                  void end({ signInId: id }).then((done) => told(done, t('deviceIsSignedOut', { device })))
                }
              >
                {t('signOut')}
              </Button>
            )}
          </li>
        ))}
      </Rows>
      {signIns.length > 1 && (
        <Button
          variant="outlined"
          onClick={() => void endOthers().then((done) => told(done, t('everyOtherDeviceIsSignedOut')))}
        >
          {t('signOutEverywhereElse')}
        </Button>
      )}
    </>
  );
}
