import { t } from '@jasperwren/words/account';
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
      <Page title={t('chooseAPassword')}>
        <Failed error={error} {...(apiError(error)?.status !== 404 && { onRetry: () => void refetch() })} />
        <Link to="/sign-in">{t('signIn')}</Link>
      </Page>
    );
  if (!owner) return <Loading what={t('yourLink')} />;
  if (chosen)
    return (
      <Page title={t('yourPasswordIsSet')} sub={t('signInAsEmail', { email: owner.email })}>
        <Button variant="contained" onClick={() => void goOn()}>
          {t('signIn')}
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
    <Page
      title={t('welcomeOwner', { owner: owner.name })}
      over={owner.school}
      sub={t('chooseThePasswordForEmail', { email: owner.email })}
    >
      <form className={form.form} onSubmit={(event) => void submit(event)} noValidate aria-label={t('chooseAPassword')}>
        <Field
          control={checked.control}
          name="password"
          label={t('password')}
          type="password"
          autoComplete="new-password"
          helperText={t('n12CharactersOrMoreAFew')}
        />
        <div className={form.actions}>
          <Button type="submit" variant="contained" disabled={checked.formState.isSubmitting}>
            {t('save')}
          </Button>
        </div>
      </form>
    </Page>
  );
}
