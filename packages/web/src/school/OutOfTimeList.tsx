import { t } from '@jasperwren/words/school';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { enqueueSnackbar } from 'notistack';
import { useState } from 'react';
import { api } from '../base/api';
import { apiError } from '../base/client';
import { longDate } from '../ui/format';
import { Rows } from '../ui/Page';
import { Failed, Loading } from '../ui/states';

/** Archived learners whom the rule of the school would erase, before it does. */
export function OutOfTimeList({ keepMonths }: { readonly keepMonths: number | undefined }) {
  const { data: learners, error, refetch } = api.useOutOfTimeQuery();
  const [erase, { isLoading }] = api.useEraseOutOfTimeMutation();
  const [asking, setAsking] = useState(false);
  if (keepMonths === undefined) return <p>{t('noRuleYetSetAboveHow')}</p>;
  if (error) return <Failed error={error} onRetry={() => void refetch()} />;
  if (!learners) return <Loading what={t('learners')} />;
  if (learners.length === 0)
    return <p>{t('noArchivedLearnerIsOlderThan', { counted: t('months', { count: keepMonths }) })}</p>;
  const go = async () => {
    const { data, error: failed } = await erase({ body: { learnerIds: learners.map(({ learnerId }) => learnerId) } });
    setAsking(false);
    enqueueSnackbar(
      data
        ? t('countedErased', { counted: t('learnersAre', { count: data.length }) })
        : (apiError(failed)?.message ?? ''),
    );
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
      <Button variant="outlined" color="error" onClick={() => setAsking(true)}>
        {t('eraseCounted', { counted: t('learners2', { count: learners.length }) })}
      </Button>
      <Dialog open={asking} onClose={() => setAsking(false)} aria-labelledby="out-of-time">
        <DialogTitle id="out-of-time">
          {t('eraseCountedForGood', { counted: t('learners2', { count: learners.length }) })}
        </DialogTitle>
        <DialogContent>{t('allTheirDataIsErasedYou')}</DialogContent>
        <DialogActions>
          <Button variant="text" onClick={() => setAsking(false)}>
            {t('keepThem')}
          </Button>
          <Button variant="contained" color="error" disabled={isLoading} onClick={() => void go()}>
            {t('eraseForGood')}
          </Button>
        </DialogActions>
      </Dialog>
    </>
  );
}
