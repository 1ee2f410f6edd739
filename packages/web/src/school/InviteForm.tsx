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
    <form className={form.form} onSubmit={(event) => void submit(event)} noValidate aria-label="Invite somebody">
      <Field control={checked.control} name="name" label="Name" autoComplete="off" />
      <div className={form.pair}>
        <Field control={checked.control} name="email" label="E-mail" type="email" autoComplete="off" />
        <Field control={checked.control} name="role" label="Role" select>
          <MenuItem value="instructor">Instructor</MenuItem>
          <MenuItem value="lead">Lead</MenuItem>
        </Field>
      </div>
      <div className={form.actions}>
        <Button type="submit" variant="contained" disabled={isLoading}>
          Invite
        </Button>
        <Button variant="text" onClick={onDone}>
          Cancel
        </Button>
      </div>
    </form>
  );
}
