import { t } from '@jasperwren/words/result';
import Button from '@mui/material/Button';
import { isFinal } from '@jasperwren/core/debrief/for-learner';
import { unsettledPins, type Drive } from '@jasperwren/core/drive/drive';
import { Link } from 'react-router';
import { addressFor } from '../../base/api';
import type { OpenDrive } from '../log/drive-logs';

/** Where one goes from a result, what is left to name first. */
export function VerdictActions({ log, drive }: { readonly log: OpenDrive; readonly drive: Drive }) {
  const { meta } = log;
  const pins = unsettledPins(drive).length;
  return (
    <>
      <Button variant="text" component={Link} to={`/drive/${meta.id}/compare`}>
        {t('compareStandards')}
      </Button>
      {log.unsent.length === 0 && (
        <>
          <Button variant="text" component="a" href={addressFor('driveTable', { driveId: meta.id })} download>
            {t('downloadCSV')}
          </Button>
          <Button variant="text" component="a" href={addressFor('driveRecord', { driveId: meta.id })} download>
            {t('downloadRecord')}
          </Button>
        </>
      )}
      {isFinal(drive) && (
        <Button variant="contained" component={Link} to={`/drive/${meta.id}/debrief`}>
          {t('debrief')}
        </Button>
      )}
      {pins > 0 && (
        <Button variant="contained" component={Link} to={`/drive/${meta.id}/desk`}>
          {pins === 1 ? t('namePin') : t('namePinsPins', { pins })}
        </Button>
      )}
    </>
  );
}
