import Button from '@mui/material/Button';
import { PasswordChange } from '@jasperwren/contract/accounts';
import { enqueueSnackbar } from 'notistack';
import { api } from '../base/api';
import { Field } from '../ui/Field';
import form from '../ui/form.module.css';
import { showProblems, useCheckedForm } from '../ui/use-checked-form';

/** Changes the password of whoever is signed in. */
export function PasswordForm() {
  const [change, { isLoading }] = api.useChangePasswordMutation();
  const checked = useCheckedForm(PasswordChange, { current: '', next: '' });
  const submit = checked.handleSubmit(async (values) => {
    const { error } = await change({ body: values });
    if (!error) {
      enqueueSnackbar('Your password is changed. Other devices are signed out.');
      checked.reset();
      return;
    }
    const shown = showProblems(checked, error);
    if (shown) checked.setError('current', { message: shown.message });
  });
  return (
    <form className={form.form} onSubmit={(event) => void submit(event)} noValidate aria-label="Change your password">
      <div className={form.pair}>
        <Field
          control={checked.control}
          name="current"
          label="Present password"
          type="password"
          autoComplete="current-password"
        />
        <Field
          control={checked.control}
          name="next"
          label="New password"
          type="password"
          autoComplete="new-password"
          helperText="12 characters or more, and not a common one"
        />
      </div>
      <div className={form.actions}>
        <Button type="submit" variant="outlined" disabled={isLoading}>
          Change it
        </Button>
      </div>
    </form>
  );
}
