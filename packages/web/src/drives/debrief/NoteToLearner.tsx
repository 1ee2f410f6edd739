import { t } from '@jasperwren/words/notes';
import Autocomplete from '@mui/material/Autocomplete';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { usePhrases } from '../use-phrases';
import styles from './debrief.module.css';

interface Props {
  readonly label: string;
  readonly onNote: (text: string) => unknown;
}

/** A sentence to the learner, from the phrases of the school or free. */
export function NoteToLearner({ label, onNote }: Props) {
  const { phrases, add } = usePhrases();
  const [text, setText] = useState('');
  const [keep, setKeep] = useState(false);
  const note = text.trim();
  const isNew = note !== '' && note.length <= 300 && !phrases.includes(note);
  return (
    <form
      className={styles.note}
      onSubmit={(event) => {
        event.preventDefault();
        if (!note) return;
        onNote(note);
        if (keep && isNew) void add(note);
        setText('');
        setKeep(false);
      }}
    >
      <Autocomplete
        freeSolo
        options={phrases}
        inputValue={text}
        onInputChange={(_, typed) => setText(typed)}
        renderInput={(props) => (
          <TextField
            {...props}
            label={label}
            size="small"
            slotProps={{ ...props.slotProps, htmlInput: { ...props.slotProps.htmlInput, maxLength: 2000 } }}
          />
        )}
        fullWidth
      />
      <Button type="submit" variant="outlined" disabled={!note}>
        {t('save')}
      </Button>
      {isNew && (
        <FormControlLabel
          control={<Checkbox checked={keep} onChange={(_, checked) => setKeep(checked)} />}
          label={t('keepPhrase')}
        />
      )}
    </form>
  );
}
