import { t } from '@jasperwren/words/account';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { SignInRequest } from '@jasperwren/contract/accounts';
import { useEffect, useState } from 'react';
import { Navigate, useLocation, useNavigate } from 'react-router';
import { api } from '../base/api';
import type { ApiError } from '../base/client';
import { useAppDispatch } from '../base/hooks';
import { Field } from '../ui/Field';
import form from '../ui/form.module.css';
import { showProblems, useCheckedForm } from '../ui/use-checked-form';
import { finishLeaving, isGone, lastPerson } from './leave';
import { enter } from './enter';
import styles from './sign-in.module.css';

export default function SignInPage() {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const from = (useLocation().state as { from?: string } | null)?.from ?? '/';
  const [before] = useState(lastPerson);
  const goOn = (person: string) => (before === undefined || before === person ? from : '/');
  const { data: session } = api.useSessionQuery(undefined, { skip: isGone() });
  const { data: welcome } = api.useWelcomeQuery();
  const [signIn, { isLoading }] = api.useSignInMutation();
  const [error, setError] = useState<ApiError>();
  const [needsCode, setNeedsCode] = useState(false);
  const checked = useCheckedForm(SignInRequest, { email: '', password: '', code: '' });
  useEffect(() => {
    document.title = t('signInJasperwren');
    // A sign-out without a network reaches the server as soon as there is one.
    const tell = () => void finishLeaving();
    window.addEventListener('online', tell);
    return () => window.removeEventListener('online', tell);
  }, []);
  if (session) return <Navigate to={goOn(session.account.id)} replace />;
  const submit = checked.handleSubmit(async (values) => {
    const { data, error: refused } = await signIn({ body: values });
    if (data) {
      await enter(data, dispatch);
      void navigate(goOn(data.account.id), { replace: true });
      return;
    }
    const shown = showProblems(checked, refused);
    setError(shown);
    if (shown?.code === 'needs-code') setNeedsCode(true);
  });
  return (
    <main className={styles.page}>
      <div className={styles.words}>
        <p className={styles.wordmark}>{t('jasperwren')}</p>
        <Typography variant="h1">{t('mockTestsMarkedAsYouDrive')}</Typography>
        <p className="muted">{t('judgedByYourTestAuthoritysStandard')}</p>
      </div>
      <form className={form.form} onSubmit={(event) => void submit(event)} noValidate aria-label={t('signIn')}>
        <Field control={checked.control} name="email" label={t('eMail')} type="email" autoComplete="username" />
        <Field
          control={checked.control}
          name="password"
          label={t('password')}
          type="password"
          autoComplete="current-password"
        />
        {needsCode && (
          <Field
            control={checked.control}
            name="code"
            label={t('sixDigits')}
            autoComplete="one-time-code"
            autoFocus
            helperText={t('fromYourAuthenticatorAppOrUse')}
          />
        )}
        {error && (
          <p role="alert" className={form.error}>
            {error.message}
          </p>
        )}
        <Button type="submit" variant="contained" disabled={isLoading}>
          {t('signIn')}
        </Button>
      </form>
      {welcome?.demo && (
        <section className={styles.demo} aria-label={t('demoAccounts')}>
          <p>
            {t('thisIsADemoOfThe', { school: welcome.demo.school })} <b>{welcome.demo.accounts[0]?.password}</b>
          </p>
          <ul>
            {welcome.demo.accounts.map((account) => (
              <li key={account.email}>
                <Button
                  variant="text"
                  onClick={() => {
                    checked.setValue('email', account.email);
                    checked.setValue('password', account.password);
                  }}
                >
                  {account.email}
                </Button>
                <span className="muted">{account.name}</span>
              </li>
            ))}
          </ul>
        </section>
      )}
    </main>
  );
}
