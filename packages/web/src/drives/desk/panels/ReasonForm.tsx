import { t } from '@jasperwren/words/desk';
import { whyWords } from '@jasperwren/words/why';
import type { UsualReason, Why } from '@jasperwren/core/drive/why';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { useUnsaved } from './keypad-keys';
import styles from './panel.module.css';

/** One touch for the usual reasons, a field for the others. */
export function ReasonForm({
  reasons,
  action,
  onGiven,
}: {
  readonly reasons: readonly UsualReason[];
  readonly action: string;
  readonly onGiven: (why: Why) => void;
}) {
  const [own, setOwn] = useState('');
  const taken = useUnsaved(own);
  const give = (why: Why) => {
    taken();
    onGiven(why);
  };
  return (
    <form
      className={styles.reasons}
      onSubmit={(event) => {
        event.preventDefault();
        if (own.trim()) give({ reason: own.trim() });
      }}
    >
      {reasons.map((because) => (
        <Button key={because} variant="outlined" onClick={() => give({ because })}>
          {whyWords({ because })}
        </Button>
      ))}
      <div className={styles.ownReason}>
        <TextField
          label={t('otherReason')}
          value={own}
          onChange={(event) => setOwn(event.target.value)}
          slotProps={{ htmlInput: { maxLength: 2000 } }}
          fullWidth
        />
        <Button type="submit" variant="contained" disabled={!own.trim()}>
          {action}
        </Button>
      </div>
    </form>
  );
}
