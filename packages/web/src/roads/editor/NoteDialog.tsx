import { t } from '@jasperwren/words/routes';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import dayjs from 'dayjs';
import { useState } from 'react';
import { api } from '../../base/api';
import { apiError } from '../../base/client';

interface Props {
  readonly at: { readonly lat: number; readonly lon: number };
  readonly onClose: () => void;
}

/** A note is looked at again after so many months, where nothing else is said. */
const reviewMonths = 6;

/** What to know at a place, shared by the school. */
export default function NoteDialog({ at, onClose }: Props) {
  const [text, setText] = useState('');
  const [reviewBy, setReviewBy] = useState(dayjs().add(reviewMonths, 'month').format('YYYY-MM-DD'));
  const [along, setAlong] = useState(false);
  const [addNote, { isLoading, error }] = api.useAddRoadNoteMutation();
  const save = async () => {
    const added = await addNote({ body: { lat: at.lat, lon: at.lon, along, text, reviewBy } });
    if (!added.error) onClose();
  };
  return (
    <Dialog open onClose={onClose} fullWidth maxWidth="sm">
      <DialogTitle>{t('addNote')}</DialogTitle>
      <DialogContent>
        <TextField
          autoFocus
          fullWidth
          multiline
          minRows={2}
          margin="dense"
          label={t('noteText')}
          value={text}
          onChange={(event) => setText(event.target.value)}
          slotProps={{ htmlInput: { maxLength: 300 } }}
          error={error !== undefined}
          helperText={apiError(error)?.message}
        />
        <FormControlLabel
          control={<Checkbox checked={along} onChange={(event) => setAlong(event.target.checked)} />}
          label={t('alongTheRoad')}
        />
        <br />
        <TextField
          margin="dense"
          type="date"
          label={t('reviewBy')}
          value={reviewBy}
          onChange={(event) => setReviewBy(event.target.value)}
          slotProps={{ inputLabel: { shrink: true } }}
        />
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t('cancel')}</Button>
        <Button
          variant="contained"
          disabled={isLoading || text.trim() === '' || reviewBy === ''}
          onClick={() => void save()}
        >
          {t('saveNote')}
        </Button>
      </DialogActions>
    </Dialog>
  );
}
