import { t as notes } from '@jasperwren/words/notes';
import { t } from '@jasperwren/words/school';
import Button from '@mui/material/Button';
import { Link } from 'react-router';
import { api } from '../base/api';
import { useSignedIn } from '../base/signed-in';
import { Page, Section } from '../ui/Page';
import { Failed, Loading } from '../ui/states';
import { failureOf } from '../ui/failure';
import { CloseSchool } from './CloseSchool';
import { OutOfTimeList } from './OutOfTimeList';
import { Phrases } from './Phrases';
import { People } from './People';
import { SchoolForm } from './SchoolForm';

/** What a lead sees to: who works here, what the school is called, how long learners are kept. */
export default function SchoolPage() {
  const { account } = useSignedIn();
  const about = api.useSchoolQuery();
  const asked = api.usePhrasesQuery();
  const people = api.usePeopleQuery(undefined, { skip: account.role !== 'lead' });
  if (account.role !== 'lead')
    return (
      <Page title={t('school2')}>
        <p>{t('onlyALeadInstructorCanChange')}</p>
      </Page>
    );
  const failed = failureOf(about, people, asked);
  if (failed) return <Failed {...failed} />;
  const { data: school } = about;
  const { data: phrases } = asked;
  if (!school || !people.data) return <Loading what={t('school')} />;
  return (
    <Page
      title={school.name}
      sub={school.place}
      actions={
        <Button variant="outlined" component={Link} to="/school/audit">
          {t('activityLog')}
        </Button>
      }
    >
      <Section title={t('people')}>
        <People people={people.data} />
      </Section>
      <Section title={t('aboutTheSchool')}>
        <SchoolForm key={school.version} school={school} />
      </Section>
      {phrases && (
        <Section title={notes('phrases')}>
          <Phrases view={phrases} />
        </Section>
      )}
      <Section title={t('learnersKeptTooLong')}>
        <OutOfTimeList keepMonths={school.keepMonths} />
      </Section>
      <Section title={t('closeSchool2')}>
        <CloseSchool name={school.name} />
      </Section>
    </Page>
  );
}
