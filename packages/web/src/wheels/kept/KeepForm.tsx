import { t } from '@jasperwren/words/motion';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import styles from '../wheels.module.css';

interface Props {
  readonly label: string;
  readonly button: string;
  readonly busy: boolean;
  readonly error: { readonly message?: string } | undefined;
  /** Told the name; says whether it was kept. */
  readonly onKeep: (name: string) => Promise<boolean>;
}

/** A name under which something is kept. */
export function KeepForm({ label, button, busy, error, onKeep }: Props) {
  const [name, setName] = useState('');
  const [kept, setKept] = useState<string>();
  return (
    <form
      className={styles.fields}
      onSubmit={(event) => {
        event.preventDefault();
        void onKeep(name.trim()).then((done) => {
          if (!done) return;
          setKept(name.trim());
          setName('');
        });
      }}
    >
      <TextField
        size="small"
        label={label}
        value={name}
        onChange={(event) => setName(event.target.value)}
        slotProps={{ htmlInput: { maxLength: 60 } }}
      />
      <Button type="submit" variant="outlined" disabled={name.trim() === '' || busy}>
        {button}
      </Button>
      {kept !== undefined && <p role="status">{t('keptAs', { name: kept })}</p>}
      {error && <p role="alert">{error.message}</p>}
    </form>
  );
}
