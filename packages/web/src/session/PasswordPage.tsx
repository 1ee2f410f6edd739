import Button from '@mui/material/Button';
import { NewPassword } from '@jasperwren/contract/accounts';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { api } from '../base/api';
import { apiError } from '../base/client';
import { useAppDispatch } from '../base/hooks';
import { Field } from '../ui/Field';
import form from '../ui/form.module.css';
import { Page } from '../ui/Page';
import { Failed, Loading } from '../ui/states';
import { showProblems, useCheckedForm } from '../ui/use-checked-form';
import { leave } from './leave';

/** Somebody who was invited, or has forgotten their password, chooses one. */
export default function PasswordPage() {
  const { token = '' } = useParams();
  const { data: owner, error, refetch } = api.usePasswordLinkQuery({ token });
  const [choose] = api.useChoosePasswordMutation();
  const [chosen, setChosen] = useState(false);
  const checked = useCheckedForm(NewPassword, { password: '' });
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const goOn = async () => {
    // Whoever else is signed in on this device makes way.
    await leave(dispatch);
    void navigate('/sign-in', { replace: true });
  };
  if (error)
    return (
      <Page title="Choose a password">
        <Failed error={error} {...(apiError(error)?.status !== 404 && { onRetry: () => void refetch() })} />
        <Link to="/sign-in">Go to sign-in</Link>
      </Page>
    );
  if (!owner) return <Loading what="your link" />;
  if (chosen)
    return (
      <Page title="Your password is set" sub={`Sign in as ${owner.email}.`}>
        <Button variant="contained" onClick={() => void goOn()}>
          Sign in
        </Button>
      </Page>
    );
  const submit = checked.handleSubmit(async (body) => {
    const { error: refused } = await choose({ token, body });
    if (!refused) setChosen(true);
    else {
      const shown = showProblems(checked, refused);
      if (shown) checked.setError('password', { message: shown.message });
    }
  });
  return (
    <Page title={`Welcome, ${owner.name}`} over={owner.school} sub={`Choose the password for ${owner.email}.`}>
      <form className={form.form} onSubmit={(event) => void submit(event)} noValidate aria-label="Choose a password">
        <Field
          control={checked.control}
          name="password"
          label="Password"
          type="password"
          autoComplete="new-password"
          helperText="12 characters or more: a few words that do not belong together"
        />
        <div className={form.actions}>
          <Button type="submit" variant="contained" disabled={checked.formState.isSubmitting}>
            Keep it
          </Button>
        </div>
      </form>
    </Page>
  );
}
