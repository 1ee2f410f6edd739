import { t } from '@jasperwren/words/school';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import { Invitation } from '@jasperwren/contract/accounts';
import { api } from '../base/api';
import { Field } from '../ui/Field';
import form from '../ui/form.module.css';
import { showProblems, useCheckedForm } from '../ui/use-checked-form';
import type { LinkFor } from './LinkToSend';

/** Invites somebody to work in the school: they get a link and choose their password themselves. */
export function InviteForm({
  onLink,
  onDone,
}: {
  readonly onLink: (link: LinkFor) => void;
  readonly onDone: () => void;
}) {
  const [invite, { isLoading }] = api.useInviteMutation();
  const checked = useCheckedForm<Invitation>(Invitation, { name: '', email: '', role: 'instructor' });
  const submit = checked.handleSubmit(async (values) => {
    const { data, error } = await invite({ body: values });
    if (data) {
      onLink(data);
      onDone();
      return;
    }
    const shown = showProblems(checked, error);
    if (shown) checked.setError('email', { message: shown.message });
  });
  return (
    <form className={form.form} onSubmit={(event) => void submit(event)} noValidate aria-label={t('inviteSomeone')}>
      <Field control={checked.control} name="name" label={t('name')} autoComplete="off" />
      <div className={form.pair}>
        <Field control={checked.control} name="email" label={t('eMail')} type="email" autoComplete="off" />
        <Field control={checked.control} name="role" label={t('role')} select>
          <MenuItem value="instructor">{t('instructor')}</MenuItem>
          <MenuItem value="lead">{t('leadInstructor')}</MenuItem>
        </Field>
      </div>
      <div className={form.actions}>
        <Button type="submit" variant="contained" disabled={isLoading}>
          {t('invite')}
        </Button>
        <Button variant="text" onClick={onDone}>
          {t('cancel')}
        </Button>
      </div>
    </form>
  );
}
