import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { PersonView } from '@jasperwren/contract/accounts';
import { enqueueSnackbar } from 'notistack';
import { useState } from 'react';
import { api } from '../base/api';
import { apiError } from '../base/client';
import { counted } from '../ui/format';

interface Props {
  readonly person: PersonView;
  readonly people: readonly PersonView[];
  readonly onClose: () => void;
}

/** Gives the learners and the lessons to come of somebody to somebody else. */
export function HandOverDialog({ person, people, onClose }: Props) {
  const others = people.filter(({ id, disabledAt }) => id !== person.id && !disabledAt);
  const [to, setTo] = useState('');
  const [handOver, { isLoading, error }] = api.useHandOverMutation();
  const go = async () => {
    const { data } = await handOver({ accountId: person.id, body: { toAccountId: to } });
    if (!data) return;
    const name = others.find(({ id }) => id === to)?.name;
    enqueueSnackbar(
      `${name} has ${counted(data.learners, 'learner', 'learners')} and ${counted(data.lessons, 'lesson', 'lessons')} of ${person.name} now.`,
    );
    onClose();
  };
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="hand-over">
      <DialogTitle id="hand-over">Hand over from {person.name}</DialogTitle>
      <DialogContent>
        <p>
          {counted(person.learners, 'learner', 'learners')} and {counted(person.lessons, 'lesson', 'lessons')} to come
          go to one colleague. Drives keep the name of who marked them.
        </p>
        <TextField
          select
          label="Who takes over"
          value={to}
          onChange={(event) => setTo(event.target.value)}
          error={error !== undefined}
          helperText={error ? apiError(error)?.message : ' '}
          fullWidth
          margin="normal"
        >
          {others.map(({ id, name }) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
          ))}
        </TextField>
      </DialogContent>
      <DialogActions>
        <Button variant="text" onClick={onClose}>
          Cancel
        </Button>
        <Button variant="contained" disabled={isLoading || to === ''} onClick={() => void go()}>
          Hand over
        </Button>
      </DialogActions>
    </Dialog>
  );
}
