import { t } from '@jasperwren/words/notes';
import Button from '@mui/material/Button';
import type { Mark, Note } from '@jasperwren/core/drive/drive';
import type { EventBody } from '@jasperwren/core/drive/event';
import { useState } from 'react';
import { Rows } from '../../ui/Page';
import { clockTime } from '../../ui/format';
import styles from './debrief.module.css';
import { NoteRow } from './NotesToLearner';
import { NoteToLearner } from './NoteToLearner';

interface Props {
  /** The learner's first name. */
  readonly learner: string;
  readonly mark: Mark;
  /** What the fault is called. */
  readonly fault: string;
  /** What was said to the learner about it. */
  readonly notes: readonly Note[];
  readonly write: (body: EventBody) => unknown;
}

/** Opens a note to the learner about one fault. */
export function NoteOnFault({ learner, mark, fault, notes, write }: Props) {
  const [open, setOpen] = useState(false);
  const time = clockTime(mark.atMs);
  return (
    <div className={styles.noteOnFault}>
      <Button
        variant="text"
        aria-expanded={open}
        aria-label={t('addNoteToFault', { fault, time })}
        onClick={() => setOpen(!open)}
      >
        {open ? t('close') : t('addNote')}
      </Button>
      {open && (
        <>
          {notes.length > 0 && (
            <Rows>
              {notes.map((note) => (
                <NoteRow key={note.id} note={note} write={write} />
              ))}
            </Rows>
          )}
          <NoteToLearner
            label={t('noteToAboutFault', { name: learner, fault, time })}
            onNote={(text) => {
              write({ type: 'note', text, target: mark.id });
              setOpen(false);
            }}
          />
        </>
      )}
    </div>
  );
}
