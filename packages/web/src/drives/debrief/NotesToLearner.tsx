import { t as debrief } from '@jasperwren/words/debrief';
import { t } from '@jasperwren/words/notes';
import Button from '@mui/material/Button';
import type { Note } from '@jasperwren/core/drive/drive';
import type { EventBody } from '@jasperwren/core/drive/event';
import { Rows, Section } from '../../ui/Page';
import styles from './debrief.module.css';
import { NoteToLearner } from './NoteToLearner';

interface Props {
  /** The learner's first name. */
  readonly learner: string;
  /** About the drive as a whole. */
  readonly notes: readonly Note[];
  readonly write: (body: EventBody) => unknown;
}

/** The notes to the learner about the drive as a whole, to be added to and taken back. */
export function NotesToLearner({ learner, notes, write }: Props) {
  return (
    <Section title={debrief('notes')}>
      <Rows>
        {notes.map((note) => (
          <NoteRow key={note.id} note={note} write={write} />
        ))}
      </Rows>
      <NoteToLearner label={t('noteTo', { name: learner })} onNote={(text) => void write({ type: 'note', text })} />
    </Section>
  );
}

/** A note that can be taken back. */
export function NoteRow({ note, write }: { readonly note: Note; readonly write: Props['write'] }) {
  return (
    <li className={styles.noteRow}>
      <span>{note.text}</span>
      <Button
        variant="text"
        aria-label={t('removeNote', { note: note.text })}
        onClick={() => void write({ type: 'strike', target: note.id, because: 'removed' })}
      >
        {t('remove')}
      </Button>
    </li>
  );
}
