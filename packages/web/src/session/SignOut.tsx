import { t } from '@jasperwren/words/account';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useAppDispatch } from '../base/hooks';
import { entriesOf } from '../base/outbox/entries';
import { leave } from './leave';

interface Props {
  /** Who is signed in: an account or a learner. */
  readonly person: string;
  /** Where to go afterwards. */
  readonly to: string;
  readonly variant?: 'outlined' | 'text';
}

/** Signs out; where something was not sent yet, it says what becomes of it first. */
export function SignOut({ person, to, variant = 'outlined' }: Props) {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const [waiting, setWaiting] = useState(0);
  const go = async () => {
    await leave(dispatch);
    void navigate(to, { replace: true });
  };
  const ask = async () => {
    const unsent = (await entriesOf(person)).length;
    if (unsent > 0) setWaiting(unsent);
    else await go();
  };
  return (
    <>
      <Button variant={variant} onClick={() => void ask()}>
        {t('signOut')}
      </Button>
      <Dialog open={waiting > 0} onClose={() => setWaiting(0)}>
        <DialogTitle>{t('countedNotBeenSent', { counted: t('entriesHave', { count: waiting }) })}</DialogTitle>
        <DialogContent>{t('theyStayOnThisDeviceAnd')}</DialogContent>
        <DialogActions>
          <Button variant="text" onClick={() => void go()}>
            {t('signOutAnyway')}
          </Button>
          <Button variant="contained" onClick={() => setWaiting(0)}>
            {t('keepEditing')}
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
