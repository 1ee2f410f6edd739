import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import FormControlLabel from '@mui/material/FormControlLabel';
import FormLabel from '@mui/material/FormLabel';
import MenuItem from '@mui/material/MenuItem';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import Switch from '@mui/material/Switch';
import { AccountInput, PasswordChange } from '@jasperwren/contract/accounts';
import { useSnackbar } from 'notistack';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { api } from '../app/api';
import { forgetAnswers } from '../app/offline';
import { useAppDispatch, useAppSelector } from '../app/hooks';
import { settingsChanged, type Settings } from '../app/settings';
import { countUnsentReviews, forgetSentReviews } from '../checks/drill/review-log';
import { countUnsent, forgetSentDrives } from '../drives/log/device-log';
import { Field } from '../ui/Field';
import { counted } from '../ui/format';
import form from '../ui/form.module.css';
import { Page, Rows, Section } from '../ui/Page';
import { Failed, Loading } from '../ui/states';
import { showProblems, useCheckedForm } from '../ui/use-checked-form';
import styles from './account.module.css';
import { useAccountsQuery, useAddAccountMutation, useChangePasswordMutation, useSignOutMutation } from './session-api';
import { useSignedIn } from './signed-in';

export default function AccountPage() {
  const { account, school } = useSignedIn();
  return (
    <Page
      title={account.name}
      sub={`${account.role === 'lead' ? 'Lead' : 'Instructor'} of ${school.name}, signed in as ${account.email}`}
      actions={<SignOut />}
    >
      <Section title="This device">
        <DeviceSettings />
      </Section>
      {account.role === 'lead' && (
        <Section title="Instructors">
          <Instructors />
        </Section>
      )}
      <Section title="Change your password">
        <Password />
      </Section>
    </Page>
  );
}

function SignOut() {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const [signOut] = useSignOutMutation();
  const [waiting, setWaiting] = useState(0);
  const leave = async () => {
    await signOut();
    await forgetSentDrives().catch(() => undefined);
    await forgetSentReviews();
    await forgetAnswers();
    dispatch(api.util.resetApiState());
    void navigate('/sign-in');
  };
  const ask = async () => {
    const unsent = (await countUnsent().catch(() => 0)) + (await countUnsentReviews());
    if (unsent > 0) setWaiting(unsent);
    else await leave();
  };
  return (
    <>
      <Button variant="outlined" onClick={() => void ask()}>
        Sign out
      </Button>
      <Dialog open={waiting > 0} onClose={() => setWaiting(0)}>
        <DialogTitle>{counted(waiting, 'entry has', 'entries have')} not been sent</DialogTitle>
        <DialogContent>
          They stay on this device and are sent when somebody of this school signs in here again.
        </DialogContent>
        <DialogActions>
          <Button variant="text" onClick={() => void leave()}>
            Sign out all the same
          </Button>
          <Button variant="contained" onClick={() => setWaiting(0)}>
            Stay
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}

const themes: readonly (readonly [Settings['theme'], string])[] = [
  ['day', 'Day'],
  ['night', 'Night'],
  ['device', 'As the device'],
];

function DeviceSettings() {
  const dispatch = useAppDispatch();
  const settings = useAppSelector((state) => state.settings);
  return (
    <div className={styles.settings}>
      <div>
        <FormLabel id="theme">Theme</FormLabel>
        <RadioGroup
          row
          aria-labelledby="theme"
          value={settings.theme}
          onChange={(_, theme) => dispatch(settingsChanged({ theme: theme as Settings['theme'] }))}
        >
          {themes.map(([value, words]) => (
            <FormControlLabel key={value} value={value} control={<Radio />} label={words} />
          ))}
        </RadioGroup>
      </div>
      <FormControlLabel
        control={
          <Switch checked={settings.receipts} onChange={(_, receipts) => dispatch(settingsChanged({ receipts }))} />
        }
        label="Sound and vibration when a mark is taken"
      />
      <FormControlLabel
        control={
          <Switch checked={settings.deskKeys} onChange={(_, deskKeys) => dispatch(settingsChanged({ deskKeys }))} />
        }
        label="Single keys on the marking desk"
      />
    </div>
  );
}

function Instructors() {
  const { data: accounts, error, refetch } = useAccountsQuery();
  const [adding, setAdding] = useState(false);
  if (error) return <Failed error={error} onRetry={() => void refetch()} />;
  if (!accounts) return <Loading what="the instructors" />;
  return (
    <>
      <Rows>
        {accounts.map(({ id, name, email, role }) => (
          <li key={id} className={styles.person}>
            <b>{name}</b>
            <span className="muted">{email}</span>
            <span>{role}</span>
          </li>
        ))}
      </Rows>
      {adding ? (
        <AddAccount onDone={() => setAdding(false)} />
      ) : (
        <Button variant="outlined" onClick={() => setAdding(true)}>
          Add an instructor
        </Button>
      )}
    </>
  );
}

function AddAccount({ onDone }: { readonly onDone: () => void }) {
  const [add, { isLoading }] = useAddAccountMutation();
  const { enqueueSnackbar } = useSnackbar();
  const checked = useCheckedForm<AccountInput>(AccountInput, { name: '', email: '', role: 'instructor', password: '' });
  const submit = checked.handleSubmit(async (values) => {
    const { data, error } = await add(values);
    if (data) {
      enqueueSnackbar(`${data.name} can sign in now.`);
      onDone();
      return;
    }
    const shown = showProblems(checked, error);
    if (shown) checked.setError('email', { message: shown.message });
  });
  return (
    <form className={form.form} onSubmit={(event) => void submit(event)} noValidate aria-label="Add an instructor">
      <Field control={checked.control} name="name" label="Name" autoComplete="off" />
      <Field control={checked.control} name="email" label="E-mail" type="email" autoComplete="off" />
      <div className={form.pair}>
        <Field control={checked.control} name="role" label="Role" select>
          <MenuItem value="instructor">Instructor</MenuItem>
          <MenuItem value="lead">Lead</MenuItem>
        </Field>
        <Field
          control={checked.control}
          name="password"
          label="First password"
          type="password"
          autoComplete="new-password"
          helperText="12 characters or more; to be changed at the first sign-in."
        />
      </div>
      <div className={form.actions}>
        <Button type="submit" variant="contained" disabled={isLoading}>
          Add
        </Button>
        <Button variant="text" onClick={onDone}>
          Cancel
        </Button>
      </div>
    </form>
  );
}

function Password() {
  const [change, { isLoading }] = useChangePasswordMutation();
  const { enqueueSnackbar } = useSnackbar();
  const checked = useCheckedForm(PasswordChange, { current: '', next: '' });
  const submit = checked.handleSubmit(async (values) => {
    const { error } = await change(values);
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
          helperText="12 characters or more"
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
