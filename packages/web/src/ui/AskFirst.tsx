import { t } from '@jasperwren/words/common';
import Button, { type ButtonProps } from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useId, useState, type ReactNode } from 'react';
import { apiError } from '../base/client';
import type { Outcome } from './told';

interface Props extends Pick<ButtonProps, 'variant' | 'color' | 'size' | 'aria-label'> {
  /** What the button says, and the one in the question that does it. */
  readonly action: string;
  readonly question: string;
  /** What follows from it. */
  readonly children?: ReactNode;
  /** Does it. Where it fails the question stays and says why. */
  readonly go: () => PromiseLike<Outcome>;
}

/** A button for what cannot be taken back: it asks first. */
export function AskFirst({ action, question, children, go, variant = 'text', ...button }: Props) {
  const [asking, setAsking] = useState(false);
  const [busy, setBusy] = useState(false);
  const [error, setError] = useState<unknown>();
  const id = useId();
  const open = (now: boolean) => {
    setAsking(now);
    setError(undefined);
  };
  const act = async () => {
    setBusy(true);
    const done = await go();
    setBusy(false);
    if (done.error) setError(done.error);
    else open(false);
  };
  return (
    <>
      <Button variant={variant} {...button} onClick={() => open(true)}>
        {action}
      </Button>
      <Dialog open={asking} onClose={() => open(false)} aria-labelledby={id}>
        <DialogTitle id={id}>{question}</DialogTitle>
        {(children !== undefined || error !== undefined) && (
          <DialogContent>
            {children}
            {error !== undefined && <p role="alert">{apiError(error)?.message}</p>}
          </DialogContent>
        )}
        <DialogActions>
          <Button variant="text" onClick={() => open(false)}>
            {t('cancel')}
          </Button>
          <Button variant="contained" color="error" disabled={busy} onClick={() => void act()}>
            {action}
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
