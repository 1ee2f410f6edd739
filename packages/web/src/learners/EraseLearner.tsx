import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { routes } from '@jasperwren/contract/routes';
import type { ErasureReceipt } from '@jasperwren/contract/school';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api } from '../base/api';
import { useAppDispatch } from '../base/hooks';
import { forgetErased } from '../base/device/forget';
import { counted } from '../ui/format';
import { TypedNameDialog } from '../ui/TypedNameDialog';

// The page of the learner stays until the receipt was read.
api.enhanceEndpoints({ endpoints: { eraseLearner: { invalidatesTags: [] } } });

interface Props {
  readonly id: string;
  readonly name: string;
  readonly onClose: () => void;
}

/** Erases a learner who asks for it, once their name was typed; then shows the receipt. */
export function EraseLearner({ id, name, onClose }: Props) {
  const [erase, { isLoading, error }] = api.useEraseLearnerMutation();
  const [receipt, setReceipt] = useState<ErasureReceipt>();
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const go = async (typed: string) => {
    const { data } = await erase({ learnerId: id, body: { name: typed } });
    if (!data) return;
    await forgetErased([id], []).catch(() => undefined);
    setReceipt(data);
  };
  const leave = () => {
    void navigate('/learners', { replace: true });
    dispatch(api.util.invalidateTags([...routes.eraseLearner.changes]));
  };
  if (receipt)
    return (
      <Dialog open aria-labelledby="erased">
        <DialogTitle id="erased">The learner is erased</DialogTitle>
        <DialogContent>
          <p>
            {counted(receipt.erased['drives'] ?? 0, 'drive', 'drives')} with{' '}
            {counted(receipt.erased['events'] ?? 0, 'event', 'events')},{' '}
            {counted(receipt.erased['sheets'] ?? 0, 'result sheet', 'result sheets')},{' '}
            {counted(receipt.erased['lessons'] ?? 0, 'lesson', 'lessons')} and{' '}
            {counted(receipt.erased['reviews'] ?? 0, 'answer', 'answers')} are gone. Other devices forget them at their
            next contact.
          </p>
          <p>
            The receipt, which names nobody: <b>{receipt.id}</b>
          </p>
        </DialogContent>
        <DialogActions>
          <Button variant="contained" onClick={leave}>
            Done
          </Button>
        </DialogActions>
      </Dialog>
    );
  return (
    <TypedNameDialog
      title={`Erase ${name}?`}
      name={name}
      keep={`Keep ${name}`}
      go="Erase for good"
      busy={isLoading}
      error={error}
      onGo={(typed) => void go(typed)}
      onClose={onClose}
    >
      <p>
        Everything goes: drives, results, lessons, answers, notes, shared links. It cannot be undone, and a later
        restore of a backup does not bring it back. If they have asked for a copy, save it first.
      </p>
    </TypedNameDialog>
  );
}
