import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { enqueueSnackbar } from 'notistack';
import { useState } from 'react';
import { api } from '../base/api';
import { apiError } from '../base/client';
import { counted, longDate } from '../ui/format';
import { Rows } from '../ui/Page';
import { Failed, Loading } from '../ui/states';

/** Archived learners whom the rule of the school would erase, before it does. */
export function OutOfTimeList({ keepMonths }: { readonly keepMonths: number | undefined }) {
  const { data: learners, error, refetch } = api.useOutOfTimeQuery();
  const [erase, { isLoading }] = api.useEraseOutOfTimeMutation();
  const [asking, setAsking] = useState(false);
  if (keepMonths === undefined)
    return <p>There is no rule yet. Say above how many months archived learners are kept, and they are listed here.</p>;
  if (error) return <Failed error={error} onRetry={() => void refetch()} />;
  if (!learners) return <Loading what="the learners" />;
  if (learners.length === 0) return <p>No archived learner is older than {counted(keepMonths, 'month', 'months')}.</p>;
  const go = async () => {
    const { data, error: failed } = await erase({ body: { learnerIds: learners.map(({ learnerId }) => learnerId) } });
    setAsking(false);
    enqueueSnackbar(
      data ? `${counted(data.length, 'learner is', 'learners are')} erased.` : (apiError(failed)?.message ?? ''),
    );
  };
  return (
    <>
      <p>
        Nothing is erased by itself. These have had no drive, lesson or test for{' '}
        {counted(keepMonths, 'month', 'months')}:
      </p>
      <Rows>
        {learners.map(({ learnerId, name, lastOn }) => (
          <li key={learnerId}>
            <b>{name}</b> <span className="muted">last on {longDate(lastOn)}</span>
          </li>
        ))}
      </Rows>
      <Button variant="outlined" color="error" onClick={() => setAsking(true)}>
        Erase {counted(learners.length, 'learner', 'learners')} …
      </Button>
      <Dialog open={asking} onClose={() => setAsking(false)} aria-labelledby="out-of-time">
        <DialogTitle id="out-of-time">Erase {counted(learners.length, 'learner', 'learners')} for good?</DialogTitle>
        <DialogContent>Everything about them goes. It cannot be undone.</DialogContent>
        <DialogActions>
          <Button variant="text" onClick={() => setAsking(false)}>
            Keep them
          </Button>
          <Button variant="contained" color="error" disabled={isLoading} onClick={() => void go()}>
            Erase for good
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
