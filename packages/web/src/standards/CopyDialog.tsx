import { t } from '@jasperwren/words/standards';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api } from '../base/api';
import { apiError } from '../base/client';

export function CopyDialog({
  open,
  onClose,
  from,
  suggested,
}: {
  readonly open: boolean;
  readonly onClose: () => void;
  /** The standard to copy; missing for one from nothing. */
  readonly from?: { readonly id: string; readonly version: number };
  readonly suggested: string;
}) {
  const navigate = useNavigate();
  const [name, setName] = useState(suggested);
  const [problem, setProblem] = useState<string>();
  const [begin, { isLoading }] = api.useBeginStandardMutation();
  const submit = async () => {
    const { data, error } = await begin({
      body: { name, ...(from && { fromId: from.id, fromVersion: from.version }) },
    });
    if (data) void navigate(`/standards/${data.standard.id}/edit`);
    else setProblem(apiError(error)?.problems?.[0]?.message ?? apiError(error)?.message);
  };
  return (
    <Dialog open={open} onClose={onClose} fullWidth maxWidth="xs">
      <form
        onSubmit={(event) => {
          event.preventDefault();
          void submit();
        }}
      >
        <DialogTitle>{t('yourOwnStandard')}</DialogTitle>
        <DialogContent>
          <p>{from ? t('aDraftWithEverythingInThis') : t('aDraftWithTwoGrades')}</p>
          <TextField
            label={t('name')}
            value={name}
            onChange={(event) => setName(event.target.value)}
            error={problem !== undefined}
            helperText={problem}
            autoFocus
            fullWidth
            margin="normal"
          />
        </DialogContent>
        <DialogActions>
          <Button variant="text" onClick={onClose}>
            {t('cancel')}
          </Button>
          <Button type="submit" variant="contained" disabled={isLoading}>
            {t('createDraft')}
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
