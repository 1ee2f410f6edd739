import type { FixPiece } from '@jasperwren/contract/traces';
import { fixOf } from '@jasperwren/contract/sent-fix';
import type { Drive } from '@jasperwren/core/drive/drive';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { placeMoment } from '@jasperwren/core/places/place-marks';
import type { StoredRoads } from '@jasperwren/roads/source';
import type { Fix } from '@jasperwren/roads/traces/fix';
import { t } from '@jasperwren/words/traces';
import { useEffect, useMemo, useState } from 'react';
import { laneOfTrace } from '../../base/device/lanes';
import { entriesOf } from '../../base/outbox/entries';
import { useSignedIn } from '../../base/signed-in';
import { Loading, NotWorkedOut } from '../../ui/states';
import { unitsOf } from '../format-route';
import { useMatch } from '../work/use-roads-work';
import { DrivePicture } from './DrivePicture';

interface Props {
  readonly driveId: string;
  /** The roads near the route, as this device has them. */
  readonly roads: StoredRoads;
  readonly standard: EffectiveStandard;
  readonly drive: Drive;
  /** When the clock of the drive stood at 0, in milliseconds since 1970. */
  readonly zeroMs: number;
}

/** Without a network: what this device noted and could not send yet, laid on the roads it has. */
export function WaitingTrace({ driveId, ...others }: Props) {
  const fixes = useWaiting(driveId);
  return fixes && fixes.length > 1 ? <Matched fixes={fixes} {...others} /> : null;
}

/** The fixes of a drive that wait on this device; undefined until they are read. */
function useWaiting(driveId: string): readonly Fix[] | undefined {
  const { account } = useSignedIn();
  const [fixes, setFixes] = useState<readonly Fix[]>();
  useEffect(() => {
    let gone = false;
    void entriesOf(account.id).then((entries) => {
      const pieces = entries.filter(({ lane }) => lane === laneOfTrace(driveId)).map(({ body }) => body as FixPiece);
      if (!gone) setFixes(pieces.flatMap((piece) => piece.fixes.map(fixOf)));
    });
    return () => {
      gone = true;
    };
  }, [account.id, driveId]);
  return fixes;
}

function Matched({
  fixes,
  roads,
  standard,
  drive,
  zeroMs,
}: Omit<Props, 'driveId'> & { readonly fixes: readonly Fix[] }) {
  const question = useMemo(() => ({ stored: roads, fixes }), [roads, fixes]);
  const {
    parts: { reading },
    failed,
    again,
  } = useMatch(question);
  const [atMs, setAtMs] = useState(0);
  const marks = useMemo(
    () =>
      drive.marks.flatMap(({ id, atMs: madeMs, struck }) => {
        const where = reading && !struck && placeMoment(reading, zeroMs + madeMs);
        return where ? [{ ...where, markId: id, atMs: madeMs }] : [];
      }),
    [drive, reading, zeroMs],
  );
  if (failed !== undefined) return <NotWorkedOut what={t('trace')} why={failed} onAgain={again} />;
  if (!reading) return <Loading what={t('trace')} />;
  return (
    <>
      <p role="status">{t('waitingTrace', { count: fixes.length })}</p>
      <DrivePicture
        trace={{ marks, zeroMs }}
        reading={reading}
        standard={standard}
        drive={drive}
        stored={roads}
        units={unitsOf(roads)}
        atMs={atMs}
        onMoment={setAtMs}
      />
    </>
  );
}
