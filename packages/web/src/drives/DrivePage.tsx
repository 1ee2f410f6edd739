import { t } from '@jasperwren/words/drives';
import { useSearchParams } from 'react-router';
import { api } from '../base/api';
import { NoLearners } from '../ui/NoLearners';
import { Page, Rows, Section } from '../ui/Page';
import { Failed, Loading } from '../ui/states';
import { failureOf } from '../ui/failure';
import { ChooseDrive } from './ChooseDrive';
import { useUnfinishedHere } from './log/use-unfinished';
import { nextUp } from './next-up';
import { NextRow } from './NextRow';
import { RecentResults } from './RecentResults';
import { toFinishOf } from './to-finish';
import { ToFinishRow } from './ToFinishRow';

/** What is in progress, who is next, a new mock test of one’s own choice, and how the last ones ended. */
export default function DrivePage() {
  const [params] = useSearchParams();
  const everybody = api.useLearnersQuery();
  const library = api.useStandardsQuery();
  const [learners, standards] = [everybody.data, library.data];
  const { data: drives = [] } = api.useDrivesQuery();
  const { data: lessons = [] } = api.useUpcomingLessonsQuery();
  const here = useUnfinishedHere();
  const chosen = params.get('learner');
  const failed = failureOf(everybody, library);
  // What others have in progress is theirs: it shows on Today.
  const mine = new Set(here.map(({ id }) => id));
  const inProgress = toFinishOf(
    drives.filter(({ id }) => mine.has(id)),
    here,
  ).filter(({ kind }) => kind === 'continue');
  // Whoever comes with a learner in mind has chosen already.
  const next = learners && chosen === null ? nextUp(learners, lessons) : [];
  return (
    <Page title={t('mockTest')}>
      {inProgress.length > 0 && (
        <Section title={t('inProgress')}>
          <Rows>
            {inProgress.map((item) => (
              <ToFinishRow key={item.id} item={item} />
            ))}
          </Rows>
        </Section>
      )}
      {failed && <Failed {...failed} />}
      {!failed && (!learners || !standards) && <Loading what={t('learnersAndStandards')} />}
      {learners?.length === 0 && <NoLearners>{t('aMockTestNeedsALearner')}</NoLearners>}
      {standards && next.length > 0 && (
        <Section title={t('whoIsNext')}>
          <Rows>
            {next.map((one) => (
              <NextRow key={one.learner.id} next={one} standards={standards} />
            ))}
          </Rows>
        </Section>
      )}
      {learners && learners.length > 0 && standards && (
        <ChooseDrive learners={learners} standards={standards} first={chosen} />
      )}
      <RecentResults drives={drives} />
    </Page>
  );
}
