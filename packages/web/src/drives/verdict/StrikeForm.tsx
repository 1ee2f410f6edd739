import type { Why } from '@jasperwren/core/drive/why';
import { t } from '@jasperwren/words/result';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import styles from './verdict.module.css';

/** Takes a fault off the sheet, with a reason. */
export function StrikeForm({
  name,
  onStrike,
  onCancel,
}: {
  readonly name: string;
  readonly onStrike: (why: Why) => void;
  readonly onCancel: () => void;
}) {
  const [reason, setReason] = useState('');
  return (
    <form
      className={styles.strike}
      aria-label={t('removeName', { name })}
      onSubmit={(event) => {
        event.preventDefault();
        if (reason.trim()) onStrike({ reason: reason.trim() });
      }}
    >
      <TextField
        label={t('reason')}
        size="small"
        value={reason}
        onChange={(event) => setReason(event.target.value)}
        autoFocus
        fullWidth
        slotProps={{ htmlInput: { maxLength: 2000 } }}
      />
      <Button type="submit" variant="contained" disabled={!reason.trim()}>
        {t('removeFault')}
      </Button>
      <Button variant="text" onClick={onCancel}>
        {t('keepFault')}
      </Button>
    </form>
  );
}
