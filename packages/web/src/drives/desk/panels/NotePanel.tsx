import { t } from '@jasperwren/words/desk';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import styles from './panel.module.css';
import { usePhrases } from '../../use-phrases';
import { useUnsaved } from './keypad-keys';
import { Panel } from './Panel';
import type { DeskActions } from '../desk-actions';

/** So many phrases are one touch away, those kept last. */
const mostPhrases = 8;

/** Words about the drive, or about one mark of it. */
export function NotePanel({ target, actions }: { readonly target: string | undefined; readonly actions: DeskActions }) {
  const [text, setText] = useState('');
  const { phrases } = usePhrases();
  const taken = useUnsaved(text);
  return (
    <Panel title={target ? t('noteOnThisFault') : t('note2')}>
      <form
        className={styles.ownReason}
        onSubmit={(event) => {
          event.preventDefault();
          if (!text.trim()) return;
          taken();
          actions.note(text.trim(), target);
        }}
      >
        <TextField
          label={t('note2')}
          value={text}
          onChange={(event) => setText(event.target.value)}
          helperText={t('yourLearnerSeesThisInThe')}
          slotProps={{ htmlInput: { maxLength: 2000 } }}
          autoFocus
          fullWidth
        />
        <Button type="submit" variant="contained" disabled={!text.trim()}>
          {t('save')}
        </Button>
      </form>
      {phrases.length > 0 && (
        <div className={styles.steps}>
          {phrases.slice(-mostPhrases).map((phrase) => (
            <Button
              key={phrase}
              variant="outlined"
              onClick={() => {
                taken();
                actions.note(phrase, target);
              }}
            >
              {phrase}
            </Button>
          ))}
        </div>
      )}
    </Panel>
  );
}
