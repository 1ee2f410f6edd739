import { t } from '@jasperwren/words/common';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { useId, useState, type ReactNode } from 'react';
import { apiError } from '../base/client';

interface Props {
  readonly title: string;
  /** What has to be typed before anything happens. */
  readonly name: string;
  /** What goes, in sentences. */
  readonly children: ReactNode;
  /** The words of the two buttons. */
  readonly keep: string;
  readonly go: string;
  readonly busy: boolean;
  readonly error: unknown;
  readonly onGo: (typed: string) => void;
  readonly onClose: () => void;
}

/** Asks before something that cannot be undone, and wants the name typed, so that nobody does it by a slip. */
export function TypedNameDialog({ title, name, children, keep, go, busy, error, onGo, onClose }: Props) {
  const [typed, setTyped] = useState('');
  const id = useId();
  return (
    <Dialog open onClose={onClose} aria-labelledby={id}>
      <DialogTitle id={id}>{title}</DialogTitle>
      <DialogContent>
        {children}
        <TextField
          label={t('typeTheNameName', { name })}
          value={typed}
          onChange={(event) => setTyped(event.target.value)}
          error={error !== undefined}
          helperText={error ? (apiError(error)?.problems?.[0]?.message ?? apiError(error)?.message) : ' '}
          fullWidth
          autoComplete="off"
          margin="normal"
        />
      </DialogContent>
      <DialogActions>
        <Button variant="text" onClick={onClose}>
          {keep}
        </Button>
        <Button variant="contained" color="error" disabled={busy || typed.trim() !== name} onClick={() => onGo(typed)}>
          {go}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
