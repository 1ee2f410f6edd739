import { t } from '@jasperwren/words/traces';
import { zeroOf } from '@jasperwren/core/traces/clock-offset';
import { Suspense } from 'react';
import { Link, useParams } from 'react-router';
import { TraceOfDrive } from '../../roads/public';
import { firstName, longDate } from '../../ui/format';
import { Page } from '../../ui/Page';
import { Failed, Loading } from '../../ui/states';
import type { OpenDrive } from '../log/drive-logs';
import { useDriveLog, useJudgedDrive, useOpenDrive } from '../log/use-drive';

/** Where a mock test went, with its faults at their places. */
export default function DriveRoadPage() {
  const { driveId = '' } = useParams();
  const opening = useOpenDrive(driveId);
  if (opening.state === 'loading') return <Loading what={t('trace')} />;
  if (opening.state === 'failed') return <Failed error={opening.error} onRetry={opening.retry} />;
  return <DriveRoad log={opening.log} />;
}

function DriveRoad({ log }: { readonly log: OpenDrive }) {
  const { meta, events } = log;
  const { drive } = useJudgedDrive(log);
  const { write } = useDriveLog(meta.id);
  return (
    <Page
      title={t('whereItWent')}
      over={
        <>
          <Link to={`/learners/${meta.learnerId}`}>{meta.learnerName}</Link>,{' '}
          <Link to={`/drive/${meta.id}`}>{drive.startedAt && longDate(drive.startedAt)}</Link>
        </>
      }
    >
      <Suspense fallback={<Loading what={t('trace')} />}>
        <TraceOfDrive
          driveId={meta.id}
          name={firstName(meta.learnerName)}
          standard={meta.standard}
          drive={drive}
          nearby={meta.route?.around?.roads}
          zeroMs={zeroOf(events)}
          onPlace={(target, place) => void write({ type: 'place', target, ...place })}
        />
      </Suspense>
    </Page>
  );
}
