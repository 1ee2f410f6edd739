import { t } from '@jasperwren/words/school';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import MenuItem from '@mui/material/MenuItem';
import { AccountEdit, type PersonView } from '@jasperwren/contract/accounts';
import { api } from '../base/api';
import { Field } from '../ui/Field';
import form from '../ui/form.module.css';
import { showProblems, useCheckedForm } from '../ui/use-checked-form';

/** Changes the name and the role of somebody. */
export function EditPerson({ person, onClose }: { readonly person: PersonView; readonly onClose: () => void }) {
  const [edit] = api.useEditAccountMutation();
  const checked = useCheckedForm<AccountEdit>(AccountEdit, { name: person.name, role: person.role });
  const submit = checked.handleSubmit(async (body) => {
    const { error } = await edit({ accountId: person.id, body });
    if (!error) {
      onClose();
      return;
    }
    const shown = showProblems(checked, error);
    if (shown) checked.setError('role', { message: shown.message });
  });
  return (
    <Dialog open onClose={onClose} maxWidth="xs" fullWidth aria-labelledby="edit-person">
      <form onSubmit={(event) => void submit(event)} noValidate>
        <DialogTitle id="edit-person">{person.name}</DialogTitle>
        <DialogContent>
          <div className={form.form}>
            <Field control={checked.control} name="name" label={t('name')} autoComplete="off" />
            <Field control={checked.control} name="role" label={t('role')} select>
              <MenuItem value="instructor">{t('instructor')}</MenuItem>
              <MenuItem value="lead">{t('leadInstructor')}</MenuItem>
            </Field>
          </div>
        </DialogContent>
        <DialogActions>
          <Button variant="text" onClick={onClose}>
            {t('cancel')}
          </Button>
          <Button type="submit" variant="contained" disabled={checked.formState.isSubmitting}>
            {t('save')}
          </Button>
        </DialogActions>
      </form>
    </Dialog>
  );
}
