import { mostFixesInAPiece } from '@jasperwren/contract/batch';
import type { FixPiece } from '@jasperwren/contract/traces';
import type { SentFix } from '@jasperwren/contract/sent-fix';
import { RoadsError } from '@jasperwren/roads/problem';
import { thinned, type Fix } from '@jasperwren/roads/traces/fix';
import { roadsProblem } from '@jasperwren/words/roads/problems';
import { t } from '@jasperwren/words/traces';
import { enqueueSnackbar } from 'notistack';
import { useState } from 'react';
import { v7 as newId } from 'uuid';
import { laneOfTrace } from '../../base/device/lanes';
import { putInLine } from '../../base/outbox/entries';
import { useSignedIn } from '../../base/signed-in';
import { FileButton } from '../../ui/FileButton';

/** More fixes than a day has seconds are not one drive's. */
const mostFixes = 100_000;
/** A file this far from the mock test, in milliseconds, is of another day: clocks and time zones explain no more. */
const farMs = 15 * 60 * 60 * 1000;
const lengthMs = 2 * 60 * 60 * 1000;

/** Adds the file of a logger to a mock test; it is sent in pieces that wait for the network where there is none. */
export function AttachTrace({
  driveId,
  startedAt,
}: {
  readonly driveId: string;
  readonly startedAt: string | undefined;
}) {
  const { account } = useSignedIn();
  const [busy, setBusy] = useState(false);
  const [failed, setFailed] = useState<string>();
  const read = async (file: File) => {
    setBusy(true);
    setFailed(undefined);
    try {
      // What reads XML comes when it is needed.
      const { readGpxFixes } = await import('@jasperwren/roads/formats/gpx');
      const fixes = near(readGpxFixes(await file.text()), startedAt);
      if (typeof fixes === 'string') return void setFailed(fixes);
      for (const body of piecesOf(fixes))
        await putInLine({ id: body.id, owner: account.id, lane: laneOfTrace(driveId), body });
      enqueueSnackbar(t('attached'));
    } catch (error) {
      setFailed(error instanceof RoadsError ? roadsProblem(error.problem) : String(error));
    } finally {
      setBusy(false);
    }
  };
  return (
    <>
      <FileButton variant="outlined" label={t('attach')} accept=".gpx" disabled={busy} onFile={read} />
      {busy && <span role="status">{t('attaching')}</span>}
      {failed !== undefined && <p role="alert">{failed}</p>}
    </>
  );
}

/** The fixes near the time of a mock test, or why there are none. */
function near(fixes: readonly Fix[], startedAt: string | undefined): readonly Fix[] | string {
  const start = startedAt === undefined ? undefined : Date.parse(startedAt);
  const own =
    start === undefined
      ? fixes
      : fixes.filter(({ at }) => Number.isNaN(at) || (at > start - farMs && at < start + lengthMs + farMs));
  if (!own.some(({ at }) => Number.isFinite(at))) return t('otherDay');
  return own.length > mostFixes ? t('tooLong', { most: mostFixes }) : own;
}

/** Fixes as they travel; those without a time or a place tell nothing and stay behind. */
function piecesOf(fixes: readonly Fix[]): readonly FixPiece[] {
  const sound = fixes.filter(
    ({ at, lat, lon }) => Number.isFinite(at) && at >= 0 && Math.abs(lat) <= 90 && Math.abs(lon) <= 180,
  );
  const sent = thinned(sound).map(({ at, lat, lon, speed }): SentFix => [
    Math.round(at),
    Number(lat.toFixed(7)),
    Number(lon.toFixed(7)),
    -1,
    speed ?? -1,
  ]);
  const pieces: FixPiece[] = [];
  for (let i = 0; i < sent.length; i += mostFixesInAPiece)
    pieces.push({ id: newId(), source: 'file', fixes: sent.slice(i, i + mostFixesInAPiece) });
  return pieces;
}
