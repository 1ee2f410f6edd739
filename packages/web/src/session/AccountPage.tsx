import { t } from '@jasperwren/words/account';
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
      sub={t('partOfSchoolSignedInAs', {
        part: account.role === 'lead' ? t('leadInstructor') : t('instructor'),
        school: school.name,
        email: account.email,
      })}
      actions={
        <>
          <SignOut person={account.id} to="/sign-in" />
          {account.role === 'lead' && (
            <Button variant="contained" component={Link} to="/school">
              {t('schoolAndPeople')}
            </Button>
          )}
        </>
      }
    >
      {waiting > 0 && (
        <Section title={t('notSentYet2')}>
          <OutboxList person={account.id} />
        </Section>
      )}
      <Section title={t('thisDevice2')}>
        <DeviceSettings />
      </Section>
      <Section title={t('whereYouAreSignedIn')}>
        <SignIns />
      </Section>
      <Section title={t('secondFactor')}>
        <SecondFactor on={secondFactor} />
      </Section>
      <Section title={t('changePassword')}>
        <PasswordForm />
      </Section>
    </Page>
  );
}

const themes: readonly (readonly [Settings['theme'], string])[] = [
  ['day', t('day')],
  ['night', t('night')],
  ['device', t('sameAsDevice')],
];

function DeviceSettings() {
  const dispatch = useAppDispatch();
  const settings = useAppSelector((state) => state.settings);
  return (
    <div className={styles.settings}>
      <div>
        <FormLabel id="theme">{t('theme')}</FormLabel>
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
        label={t('soundAndVibrationWhenAFault')}
      />
      <FormControlLabel
        control={
          <Switch checked={settings.deskKeys} onChange={(_, deskKeys) => dispatch(settingsChanged({ deskKeys }))} />
        }
        label={t('keyboardShortcutsOnTheMarkingScreen')}
      />
    </div>
  );
}
