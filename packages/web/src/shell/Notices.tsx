import { t } from '@jasperwren/words/offline';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { newVersion } from '../base/offline';
import frame from './frame.module.css';
import KeptNotice from './KeptNotice';

interface Props {
  /** Whether a newer version of the application waits. */
  readonly newer: boolean;
  /** So many changes were refused by the server. */
  readonly refused: number;
  /** Since when the oldest answer stands that this device gave for the server, where it gave one. */
  readonly since: string | undefined;
}

/** What stands above every page when it has to be said. */
export default function Notices({ newer, refused, since }: Props) {
  return (
    <>
      {since !== undefined && <KeptNotice since={since} />}
      {newer && (
        <p className={frame.notice} role="status">
          {t('aNewVersionOfJasperwrenIs')}
          <Button variant="text" onClick={newVersion.take}>
            {t('reload')}
          </Button>
        </p>
      )}
      {refused > 0 && (
        <p className={frame.notice} role="status">
          {t('refusedByTheServer', { count: refused })}
          <Button variant="text" component={Link} to="/account">
            {t('seeWhy')}
          </Button>
        </p>
      )}
    </>
  );
}
