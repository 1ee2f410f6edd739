import { t } from '@jasperwren/words/school';
import { enqueueSnackbar } from 'notistack';
import { api } from '../base/api';
import { failureOf } from '../ui/failure';
import { longDate } from '../ui/format';
import { Rows } from '../ui/Page';
import { Failed, Loading } from '../ui/states';
import { AskFirst } from '../ui/AskFirst';

/** Archived learners whom the rule of the school would erase, before it does. */
export function OutOfTimeList({ keepMonths }: { readonly keepMonths: number | undefined }) {
  const { data: learners, ...asked } = api.useOutOfTimeQuery();
  const failed = failureOf(asked);
  const [erase] = api.useEraseOutOfTimeMutation();
  if (keepMonths === undefined) return <p>{t('noRuleYetSetAboveHow')}</p>;
  if (failed) return <Failed {...failed} />;
  if (!learners) return <Loading what={t('learners')} />;
  if (learners.length === 0)
    return <p>{t('noArchivedLearnerIsOlderThan', { counted: t('months', { count: keepMonths }) })}</p>;
  const go = async () => {
    const done = await erase({ body: { learnerIds: learners.map(({ learnerId }) => learnerId) } });
    if (done.data) enqueueSnackbar(t('countedErased', { counted: t('learnersAre', { count: done.data.length }) }));
    return done;
  };
  return (
    <>
      <p>{t('nothingIsErasedAutomaticallyNoMock', { counted: t('months', { count: keepMonths }) })}</p>
      <Rows>
        {learners.map(({ learnerId, name, lastOn }) => (
          <li key={learnerId}>
            <b>{name}</b> <span className="muted">{t('lastOnDate', { date: longDate(lastOn) })}</span>
          </li>
        ))}
      </Rows>
      <AskFirst
        action={t('eraseCounted', { counted: t('learners2', { count: learners.length }) })}
        question={t('eraseCountedForGood', { counted: t('learners2', { count: learners.length }) })}
        variant="outlined"
        color="error"
        go={go}
      >
        {t('allTheirDataIsErasedYou')}
      </AskFirst>
    </>
  );
}
