import { t } from '@jasperwren/words/notes';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import type { PhrasesView } from '@jasperwren/contract/phrases';
import { useState } from 'react';
import { api } from '../base/api';
import { apiError } from '../base/client';
import form from '../ui/form.module.css';
import { told } from '../ui/told';

/** The phrases of the school for notes to learners, one on each line. */
export function Phrases({ view }: { readonly view: PhrasesView }) {
  const [set, { isLoading, error }] = api.useSetPhrasesMutation();
  const [text, setText] = useState(view.phrases.join('\n'));
  const phrases = [...new Set(text.split('\n').map((line) => line.trim()))].filter(Boolean);
  const failure = apiError(error);
  return (
    <form
      className={form.form}
      aria-label={t('phrases')}
      onSubmit={(event) => {
        event.preventDefault();
        void set({ body: { phrases, version: view.version } }).then(({ data }) => {
          if (data) told({}, t('phrasesSaved'));
        });
      }}
    >
      <TextField
        label={t('phrases')}
        value={text}
        onChange={(event) => setText(event.target.value)}
        error={failure !== undefined}
        helperText={failure ? (failure.problems?.[0]?.message ?? failure.message) : t('phrasesHelp')}
        multiline
        minRows={4}
        fullWidth
      />
      <div className={form.actions}>
        <Button type="submit" variant="outlined" disabled={isLoading || phrases.join('\n') === view.phrases.join('\n')}>
          {t('savePhrases')}
        </Button>
      </div>
    </form>
  );
}
