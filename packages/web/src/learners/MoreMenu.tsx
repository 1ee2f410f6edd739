import { t } from '@jasperwren/words/learners';
import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import MenuItem from '@mui/material/MenuItem';
import type { LearnerView } from '@jasperwren/contract/learners';
import { useState } from 'react';
import { Link } from 'react-router';
import { addressFor, api } from '../base/api';
import { useSignedIn } from '../base/signed-in';
import { told } from '../ui/told';
import { EraseLearner } from './EraseLearner';

/** What is seldom done with a learner. */
export function MoreMenu({ learner }: { readonly learner: LearnerView }) {
  const { account } = useSignedIn();
  const [anchor, setAnchor] = useState<HTMLElement>();
  const [erasing, setErasing] = useState(false);
  const setArchived = useArchive(learner);
  const archived = learner.archivedAt !== undefined;
  const close = () => setAnchor(undefined);
  return (
    <>
      <Button variant="outlined" aria-haspopup="menu" onClick={(event) => setAnchor(event.currentTarget)}>
        {t('more')}
      </Button>
      <Menu open={anchor !== undefined} onClose={close} {...(anchor && { anchorEl: anchor })}>
        <MenuItem component={Link} to={`/learners/${learner.id}/readiness`}>
          {t('readiness')}
        </MenuItem>
        <MenuItem component={Link} to={`/checks/learners/${learner.id}`}>
          {t('safetyQuestions')}
        </MenuItem>
        <MenuItem component={Link} to={`/learners/${learner.id}/edit`}>
          {t('edit')}
        </MenuItem>
        <MenuItem component={Link} to={`/learners/${learner.id}/sheet`}>
          {t('addTestResult')}
        </MenuItem>
        <MenuItem component="a" href={addressFor('exportLearner', { learnerId: learner.id })} download onClick={close}>
          {t('downloadAllDataAboutLearner', { learner: learner.name })}
        </MenuItem>
        <MenuItem
          onClick={() => {
            close();
            void setArchived(!archived);
          }}
        >
          {archived ? t('restore') : t('archive')}
        </MenuItem>
        {account.role === 'lead' && (
          <MenuItem
            onClick={() => {
              close();
              setErasing(true);
            }}
          >
            {t('erase')}
          </MenuItem>
        )}
      </Menu>
      {erasing && <EraseLearner id={learner.id} name={learner.name} onClose={() => setErasing(false)} />}
    </>
  );
}

/** Archives a learner or puts them back, with a way to take that back. */
function useArchive({ id, name }: LearnerView): (to: boolean) => Promise<void> {
  const [archive] = api.useArchiveLearnerMutation();
  const [unarchive] = api.useUnarchiveLearnerMutation();
  return async (to) => {
    told(
      await (to ? archive : unarchive)({ learnerId: id }),
      to ? t('nameArchivedAllRecordsAreKept', { name }) : t('nameRestored', { name }),
      () => (to ? unarchive : archive)({ learnerId: id }),
    );
  };
}
