import { t } from '@jasperwren/words/common';
import Button from '@mui/material/Button';
import CircularProgress from '@mui/material/CircularProgress';
import type { ReactNode } from 'react';
import { apiError, type ApiError } from '../base/client';
import styles from './states.module.css';

/** Something is on its way, by its name or heading. */
export const Loading = ({ what }: { readonly what: string }) => (
  <Working doing={t('loadingWhat', { what: what.charAt(0).toLowerCase() + what.slice(1) })} />
);

/** Something is being worked out, and what. */
export function Working({ doing }: { readonly doing: string }) {
  return (
    <div className={styles.state} role="status">
      <CircularProgress size={24} color="inherit" aria-label={doing} />
      <span className="muted">{doing}</span>
    </div>
  );
}

/** Nothing is there yet, and what to do next. */
export function Empty({ children, action }: { readonly children: ReactNode; readonly action?: ReactNode }) {
  return (
    <div className={styles.state}>
      <p>{children}</p>
      {action}
    </div>
  );
}

interface Broken {
  /** At the beginning of a sentence. */
  readonly what: string;
  readonly why: string;
  readonly onAgain: () => void;
}

/** A calculation beside the page failed: why, and a way to try again. */
export function NotWorkedOut({ what, why, onAgain }: Broken) {
  return (
    <div className={styles.state} role="alert">
      <p>{t('whatCouldNotBeWorkedOut', { what, why })}</p>
      <Button variant="outlined" onClick={onAgain}>
        {t('tryAgain')}
      </Button>
    </div>
  );
}

/** Whether the same question may be answered another time: no connection, too many at once, a server in trouble. */
const mayPass = ({ status, code }: ApiError): boolean =>
  status === 0 || code === 'unreachable' || status === 429 || status >= 500;

/** Something failed: what happened, and where it helps a way to try again. */
export function Failed({ error, onRetry }: { readonly error: unknown; readonly onRetry?: () => void }) {
  const failed = apiError(error);
  return (
    <div className={styles.state} role="alert">
      <p>{failed?.message}</p>
      {onRetry && failed && mayPass(failed) && (
        <Button variant="outlined" onClick={onRetry}>
          {t('tryAgain')}
        </Button>
      )}
    </div>
  );
}
