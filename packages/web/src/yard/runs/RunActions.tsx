import { t } from '@jasperwren/words/yard-pages';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { addressFor, api } from '../../base/api';

/** The file of a run, and its end. */
export function RunActions({ runId }: { readonly runId: string }) {
  const navigate = useNavigate();
  const [asking, setAsking] = useState(false);
  const [drop, { error, isLoading }] = api.useDropYardRunMutation();
  const remove = async () => {
    await drop({ runId }).unwrap();
    void navigate('/yard');
  };
  return (
    <>
      <Button variant="outlined" href={addressFor('yardRunFile', { runId })}>
        {t('download')}
      </Button>
      <Button variant="text" onClick={() => setAsking(true)}>
        {t('deleteRun')}
      </Button>
      <Dialog open={asking} onClose={() => setAsking(false)}>
        <DialogContent>
          <p>{t('deleteSure')}</p>
          {error && <p role="alert">{error.message}</p>}
        </DialogContent>
        <DialogActions>
          <Button onClick={() => setAsking(false)}>{t('cancel')}</Button>
          <Button variant="contained" disabled={isLoading} onClick={() => void remove().catch(() => undefined)}>
            {t('deleteRun')}
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
