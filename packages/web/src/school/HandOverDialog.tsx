import { t } from '@jasperwren/words/school';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import type { PersonView } from '@jasperwren/contract/accounts';
import { enqueueSnackbar } from 'notistack';
import { useState } from 'react';
import { api } from '../base/api';
import { apiError } from '../base/client';

interface Props {
  readonly person: PersonView;
  readonly people: readonly PersonView[];
  readonly onClose: () => void;
}

/** Gives the learners and the lessons to come of somebody to somebody else. */
export function HandOverDialog({ person, people, onClose }: Props) {
  const others = people.filter(({ id, disabledAt }) => id !== person.id && !disabledAt);
  const [to, setTo] = useState('');
  const [handOver, { isLoading, error }] = api.useHandOverMutation();
  const go = async () => {
    const { data } = await handOver({ accountId: person.id, body: { toAccountId: to } });
    if (!data) return;
    const name = others.find(({ id }) => id === to)?.name;
    enqueueSnackbar(
      t('nameHasCountedAndCounted2Of', {
        name: String(name),
        counted: t('learners2', { count: data.learners }),
        counted2: t('lessons', { count: data.lessons }),
        person: person.name,
      }),
    );
    onClose();
  };
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="hand-over">
      <DialogTitle id="hand-over">{t('handOverFromPerson', { person: person.name })}</DialogTitle>
      <DialogContent>
        <p>
          {t('countedAndCounted2ToComeGo', {
            counted: t('learners2', { count: person.learners }),
            counted2: t('lessons', { count: person.lessons }),
          })}
        </p>
        <TextField
          select
          label={t('whoTakesOver')}
          value={to}
          onChange={(event) => setTo(event.target.value)}
          error={error !== undefined}
          helperText={error ? apiError(error)?.message : ' '}
          fullWidth
          margin="normal"
        >
          {others.map(({ id, name }) => (
            <MenuItem key={id} value={id}>
              {name}
            </MenuItem>
          ))}
        </TextField>
      </DialogContent>
      <DialogActions>
        <Button variant="text" onClick={onClose}>
          {t('cancel')}
        </Button>
        <Button variant="contained" disabled={isLoading || to === ''} onClick={() => void go()}>
          {t('handOver')}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
