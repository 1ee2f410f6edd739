import Button from '@mui/material/Button';
import { apiError } from '../base/client';
import form from './form.module.css';

interface Props {
  /** What keeps it from being saved, once saving was tried. */
  readonly problems: readonly string[];
  readonly error: unknown;
  readonly busy: boolean;
  readonly action: string;
  readonly onSave: () => void;
}

/** The foot of an editor: what is wrong, and the one button that saves. */
export function SaveBar({ problems, error, busy, action, onSave }: Props) {
  return (
    <>
      {problems.length > 0 && (
        <div role="alert" className={form.error}>
          {problems.map((problem) => (
            <p key={problem}>{problem}</p>
          ))}
        </div>
      )}
      {error !== undefined && <p role="alert">{apiError(error)?.message}</p>}
      <div className={form.actions}>
        <Button variant="contained" disabled={busy} onClick={onSave}>
          {action}
        </Button>
      </div>
    </>
  );
}
