import { Page, Section } from '../ui/Page';
import { SecondFactor } from './SecondFactor';
import { useSignedIn } from '../base/signed-in';
import { SignOut } from './SignOut';

/** Nothing else is open until the second factor, which the school requires, is set up. */
export default function FactorFirst() {
  const { account, school } = useSignedIn();
  return (
    <Page
      title="Set up your second factor"
      over={school.name}
      sub="Your school requires one. It takes a minute and an authenticator app on your phone."
      actions={<SignOut person={account.id} to="/sign-in" />}
    >
      <Section title="Second factor">
        <SecondFactor on={false} />
      </Section>
    </Page>
  );
}
