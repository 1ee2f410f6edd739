import { t as find } from '@jasperwren/words/find';
import { t } from '@jasperwren/words/shell';
import Autocomplete from '@mui/material/Autocomplete';
import Dialog from '@mui/material/Dialog';
import TextField from '@mui/material/TextField';
import { useMemo } from 'react';
import { useNavigate } from 'react-router';
import { api } from '../base/api';
import { longDate } from '../ui/format';

interface Found {
  readonly group: string;
  readonly name: string;
  readonly to: string;
}

const actions: readonly Found[] = [
  [find('startMockTest'), '/drive'],
  [find('addLearner'), '/learners/new'],
  [find('readinessOfAllLearners'), '/learners/ready'],
  [find('addQuestion'), '/checks/questions/new'],
  [find('addCar'), '/checks/cars/new'],
  [find('safeMoment'), '/checks/safe'],
  [find('wheels'), '/yard/wheels'],
  [find('stopping'), '/yard/stopping'],
  [find('school'), '/school'],
].map(([name, to]) => ({ group: find('actions'), name: name!, to: to! }));

/** Learners, mock tests, standards and actions by a few letters of their name. */
export default function QuickFind({ onClose }: { readonly onClose: () => void }) {
  const navigate = useNavigate();
  const { data: learners } = api.useLearnersQuery();
  const { data: drives } = api.useDrivesQuery();
  const { data: standards } = api.useStandardsQuery();
  const all = useMemo(
    (): readonly Found[] => [
      ...(learners ?? []).map(({ id, name }) => ({ group: t('learners'), name, to: `/learners/${id}` })),
      ...actions,
      ...(drives ?? []).map(({ id, learnerName, startedAt, phase }) => ({
        group: find('mockTests'),
        name: find('learnerDate', { learner: learnerName, date: longDate(startedAt) }),
        to: phase === 'ended' ? `/drive/${id}` : `/drive/${id}/desk`,
      })),
      ...(standards ?? []).map(({ id, name }) => ({ group: t('standards'), name, to: `/standards/${id}` })),
    ],
    [learners, drives, standards],
  );
  return (
    <Dialog
      open
      onClose={onClose}
      fullWidth
      maxWidth="sm"
      slotProps={{ paper: { 'aria-label': t('find') } }}
      sx={{ '& .MuiDialog-container': { alignItems: 'flex-start' } }}
    >
      <Autocomplete
        open
        autoHighlight
        disablePortal
        options={all}
        groupBy={({ group }) => group}
        getOptionLabel={({ name }) => name}
        getOptionKey={({ to }) => to}
        onChange={(_, found) => {
          if (!found) return;
          onClose();
          void navigate(found.to);
        }}
        onClose={(_, reason) => {
          if (reason === 'escape') onClose();
        }}
        noOptionsText={find('nothingFound')}
        sx={{ p: 2, minHeight: '26rem' }}
        slotProps={{ listbox: { sx: { maxHeight: '20rem' } } }}
        renderInput={(props) => <TextField {...props} autoFocus label={find('findALearnerTest')} />}
      />
    </Dialog>
  );
}
