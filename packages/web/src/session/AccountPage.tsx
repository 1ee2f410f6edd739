import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import FormLabel from '@mui/material/FormLabel';
import Radio from '@mui/material/Radio';
import RadioGroup from '@mui/material/RadioGroup';
import Switch from '@mui/material/Switch';
import { Link } from 'react-router';
import { useAppDispatch, useAppSelector } from '../base/hooks';
import { settingsChanged, type Settings } from '../base/settings';
import { OutboxList } from './OutboxList';
import { Page, Section } from '../ui/Page';
import styles from './account.module.css';
import { PasswordForm } from './PasswordForm';
import { SecondFactor } from './SecondFactor';
import { useSignedIn } from '../base/signed-in';
import { SignIns } from './SignIns';
import { SignOut } from './SignOut';

export default function AccountPage() {
  const { account, school, secondFactor } = useSignedIn();
  const waiting = useAppSelector((state) => state.outbox.waiting);
  return (
    <Page
      title={account.name}
      sub={`${account.role === 'lead' ? 'Lead' : 'Instructor'} of ${school.name}, signed in as ${account.email}`}
      actions={
        <>
          <SignOut person={account.id} to="/sign-in" />
          {account.role === 'lead' && (
            <Button variant="contained" component={Link} to="/school">
              The school and its people
            </Button>
          )}
        </>
      }
    >
      {waiting > 0 && (
        <Section title="Not sent yet">
          <OutboxList person={account.id} />
        </Section>
      )}
      <Section title="This device">
        <DeviceSettings />
      </Section>
      <Section title="Where you are signed in">
        <SignIns />
      </Section>
      <Section title="Second factor">
        <SecondFactor on={secondFactor} />
      </Section>
      <Section title="Change your password">
        <PasswordForm />
      </Section>
    </Page>
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
