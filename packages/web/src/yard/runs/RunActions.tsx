import { t } from '@jasperwren/words/yard-pages';
import Button from '@mui/material/Button';
import { useNavigate } from 'react-router';
import { addressFor, api } from '../../base/api';
import { AskFirst } from '../../ui/AskFirst';

/** The file of a run, and its end. */
export function RunActions({ runId }: { readonly runId: string }) {
  const navigate = useNavigate();
  const [drop] = api.useDropYardRunMutation();
  const remove = async () => {
    const done = await drop({ runId });
    if (!done.error) void navigate('/yard');
    return done;
  };
  return (
    <>
      <Button variant="outlined" href={addressFor('yardRunFile', { runId })}>
        {t('download')}
      </Button>
      <AskFirst action={t('deleteRun')} question={t('deleteSure')} go={remove}>
        {t('deleteRunMeans')}
      </AskFirst>
    </>
  );
}
