import { t } from '@jasperwren/words/account';
import Button from '@mui/material/Button';
import { FactorProof, PasswordProof, type FactorSecret } from '@jasperwren/contract/accounts';
import { enqueueSnackbar } from 'notistack';
import { useState } from 'react';
import { routes } from '@jasperwren/contract/routes';
import { api } from '../base/api';
import { useAppDispatch } from '../base/hooks';
import { Field } from '../ui/Field';
import form from '../ui/form.module.css';
import { showProblems, useCheckedForm } from '../ui/use-checked-form';
import styles from './account.module.css';

// The codes are read before anything else.
api.enhanceEndpoints({ endpoints: { confirmFactor: { invalidatesTags: [] } } });

/** The second factor of whoever is signed in: six digits from an app, asked for at every sign-in. */
export function SecondFactor({ on }: { readonly on: boolean }) {
  const [asked, setAsked] = useState(false);
  const [secret, setSecret] = useState<FactorSecret>();
  const [codes, setCodes] = useState<readonly string[]>();
  const [begin] = api.useBeginFactorMutation();
  const [drop] = api.useDropFactorMutation();
  if (codes) return <Recovery codes={codes} />;
  if (secret) return <Confirm secret={secret} onConfirmed={setCodes} onCancel={() => setSecret(undefined)} />;
  const prove = async (values: PasswordProof) => {
    if (on) {
      const { error } = await drop({ body: values });
      if (!error) {
        setAsked(false);
        enqueueSnackbar(t('theSecondFactorIsOffYou'));
      }
      return error;
    }
    const { data, error } = await begin({ body: values });
    if (data) setSecret(data);
    return error;
  };
  return (
    <>
      <p>{on ? t('onYouSignInWithYour') : t('offWithItAStolenPassword')}</p>
      {asked ? (
        <Prove action={on ? t('turnOff') : t('continue')} onProve={prove} onCancel={() => setAsked(false)} />
      ) : (
        <Button variant="outlined" onClick={() => setAsked(true)}>
          {on ? t('turnOff') : t('setUp')}
        </Button>
      )}
    </>
  );
}

interface ProveProps {
  readonly action: string;
  readonly onProve: (values: PasswordProof) => Promise<unknown>;
  readonly onCancel: () => void;
}

function Prove({ action, onProve, onCancel }: ProveProps) {
  const checked = useCheckedForm(PasswordProof, { password: '' });
  const submit = checked.handleSubmit(async (values) => {
    const shown = showProblems(checked, await onProve(values));
    if (shown) checked.setError('password', { message: shown.message });
  });
  return (
    <form className={form.form} onSubmit={(event) => void submit(event)} noValidate aria-label={t('confirmItIsYou')}>
      <Field
        control={checked.control}
        name="password"
        label={t('yourPassword')}
        type="password"
        autoComplete="current-password"
      />
      <div className={form.actions}>
        <Button type="submit" variant="contained" disabled={checked.formState.isSubmitting}>
          {action}
        </Button>
        <Button variant="text" onClick={onCancel}>
          {t('cancel')}
        </Button>
      </div>
    </form>
  );
}

interface ConfirmProps {
  readonly secret: FactorSecret;
  readonly onConfirmed: (codes: readonly string[]) => void;
  readonly onCancel: () => void;
}

function Confirm({ secret, onConfirmed, onCancel }: ConfirmProps) {
  const [confirm] = api.useConfirmFactorMutation();
  const checked = useCheckedForm(FactorProof, { code: '' });
  const submit = checked.handleSubmit(async (values) => {
    const { data, error } = await confirm({ body: values });
    if (data) onConfirmed(data.codes);
    else {
      const shown = showProblems(checked, error);
      if (shown) checked.setError('code', { message: shown.message });
    }
  });
  return (
    <form className={form.form} onSubmit={(event) => void submit(event)} noValidate aria-label={t('secondFactor')}>
      <p>{t('scanThisCodeWithYourAuthenticator')}</p>
      <img
        className={styles.code}
        src={`data:image/svg+xml;utf8,${encodeURIComponent(secret.picture)}`}
        alt={t('codeForTheAuthenticatorApp')}
      />
      <p className={styles.secret}>{secret.secret.match(/.{1,4}/g)?.join(' ')}</p>
      <Field
        control={checked.control}
        name="code"
        label={t('sixDigits')}
        autoComplete="one-time-code"
        slotProps={{ htmlInput: { inputMode: 'numeric', maxLength: 7 } }}
      />
      <div className={form.actions}>
        <Button type="submit" variant="contained" disabled={checked.formState.isSubmitting}>
          {t('turnOn')}
        </Button>
        <Button variant="text" onClick={onCancel}>
          {t('cancel')}
        </Button>
      </div>
    </form>
  );
}

function Recovery({ codes }: { readonly codes: readonly string[] }) {
  const dispatch = useAppDispatch();
  return (
    <section aria-label={t('recoveryCodes')}>
      <p>
        <b>{t('theSecondFactorIsOn')}</b> {t('ifYouLoseTheDeviceEach')}
      </p>
      <ul className={styles.codes}>
        {codes.map((code) => (
          <li key={code}>{code}</li>
        ))}
      </ul>
      <Button variant="contained" onClick={() => dispatch(api.util.invalidateTags([...routes.confirmFactor.changes]))}>
        {t('iHaveSavedThem')}
      </Button>
    </section>
  );
}
