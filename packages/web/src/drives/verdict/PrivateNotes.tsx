import { t } from '@jasperwren/words/result';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import type { Note } from '@jasperwren/core/drive/drive';
import type { EventBody } from '@jasperwren/core/drive/event';
import { useState } from 'react';
import { Rows, Section } from '../../ui/Page';
import { usePeople } from '../log/use-people';
import styles from './verdict.module.css';

interface Props {
  readonly notes: readonly Note[];
  readonly write: (body: EventBody) => unknown;
}

/** Notes for the instructors of the school: in no print, record, table or link. */
export function PrivateNotes({ notes, write }: Props) {
  const nameOf = usePeople();
  const [text, setText] = useState('');
  return (
    <Section title={t('privateNotes')}>
      <Rows>
        {notes
          .filter((note) => note.private)
          .map((note) => (
            <li key={note.id} className={styles.note}>
              <span>
                {note.text} <span className="muted">({nameOf(note.by)})</span>
              </span>
              <Button
                variant="text"
                aria-label={t('removeNoteNote', { note: note.text })}
                onClick={() => void write({ type: 'strike', target: note.id, because: 'removed' })}
              >
                {t('remove')}
              </Button>
            </li>
          ))}
      </Rows>
      <form
        className={styles.strike}
        onSubmit={(event) => {
          event.preventDefault();
          if (!text.trim()) return;
          void write({ type: 'note', text: text.trim(), private: true });
          setText('');
        }}
      >
        <TextField
          label={t('privateNoteInstructorsOnly')}
          size="small"
          value={text}
          onChange={(event) => setText(event.target.value)}
          slotProps={{ htmlInput: { maxLength: 2000 } }}
          multiline
          fullWidth
        />
        <Button type="submit" variant="outlined" disabled={!text.trim()}>
          {t('saveNote')}
        </Button>
      </form>
    </Section>
  );
}
