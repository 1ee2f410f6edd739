import { t } from '@jasperwren/words/account';
import { Page, Section } from '../ui/Page';
import { SecondFactor } from './SecondFactor';
import { useSignedIn } from '../base/signed-in';
import { SignOut } from './SignOut';

/** Nothing else is open until the second factor, which the school requires, is set up. */
export default function FactorFirst() {
  const { account, school } = useSignedIn();
  return (
    <Page
      title={t('setUpYourSecondFactor')}
      over={school.name}
      sub={t('yourSchoolRequiresOneYouNeed')}
      actions={<SignOut person={account.id} to="/sign-in" />}
    >
      <Section title={t('secondFactor')}>
        <SecondFactor on={false} />
      </Section>
    </Page>
  );
}
