import { t } from '@jasperwren/words/account';
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
      enqueueSnackbar(t('passwordChangedOtherDevicesAreSigned'));
      checked.reset();
      return;
    }
    const shown = showProblems(checked, error);
    if (shown) checked.setError('current', { message: shown.message });
  });
  return (
    <form className={form.form} onSubmit={(event) => void submit(event)} noValidate aria-label={t('changePassword')}>
      <div className={form.pair}>
        <Field
          control={checked.control}
          name="current"
          label={t('currentPassword')}
          type="password"
          autoComplete="current-password"
        />
        <Field
          control={checked.control}
          name="next"
          label={t('newPassword')}
          type="password"
          autoComplete="new-password"
          helperText={t('n12CharactersOrMoreAndNot')}
        />
      </div>
      <div className={form.actions}>
        <Button type="submit" variant="outlined" disabled={isLoading}>
          {t('changePassword')}
        </Button>
      </div>
    </form>
  );
}
