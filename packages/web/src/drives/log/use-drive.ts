import { undoTarget } from '@jasperwren/core/drive/undo';
import type { EventBody } from '@jasperwren/core/drive/event';
import { judgeDrive } from '@jasperwren/core/marking/judge';
import { useCallback, useEffect, useMemo, useState } from 'react';
import { v7 as newId } from 'uuid';
import type { ApiError } from '../../base/client';
import { useAppDispatch, useAppSelector } from '../../base/hooks';
import { store } from '../../base/store';
import { useSignedIn } from '../../base/signed-in';
import { append } from './append';
import { deviceId } from './device-log';
import { folded } from './folded';
import type { OpenDrive } from './drive-logs';
import { openDrive } from './open-drive';

type Opening<Open> =
  | { readonly state: 'loading' }
  | { readonly state: 'failed'; readonly error: ApiError; readonly retry: () => void }
  | ({ readonly state: 'open' } & Open);

/** A drive by its id, opened from this device or the server; what it is, and not what happens in it. */
export function useOpening(driveId: string): Opening<Pick<OpenDrive, 'meta'>> {
  const dispatch = useAppDispatch();
  const { school, account } = useSignedIn();
  const meta = useAppSelector((state) => state.driveLogs.open[driveId]?.meta);
  const [error, setError] = useState<ApiError>();
  const [attempt, setAttempt] = useState(0);
  useEffect(() => {
    let gone = false;
    void dispatch(openDrive(driveId, school.id, account.id)).then((failure) => {
      if (!gone) setError(failure);
    });
    return () => {
      gone = true;
    };
  }, [dispatch, driveId, school.id, account.id, attempt]);
  if (meta) return { state: 'open', meta };
  return error ? { state: 'failed', error, retry: () => setAttempt((n) => n + 1) } : { state: 'loading' };
}

/** A drive by its id with its log, at every event. */
export function useOpenDrive(driveId: string): Opening<{ readonly log: OpenDrive }> {
  const opening = useOpening(driveId);
  const log = useAppSelector((state) => state.driveLogs.open[driveId]);
  if (opening.state !== 'open') return opening;
  return log ? { state: 'open', log } : { state: 'loading' };
}

/** What follows from a log: the drive as it stands and its verdict. */
export function useJudgedDrive({ meta, events }: Pick<OpenDrive, 'meta' | 'events'>) {
  const drive = folded(events);
  const verdict = useMemo(() => judgeDrive(meta.standard, drive), [meta.standard, drive]);
  return { drive, verdict };
}

/** Writes events into the log of a drive, as the person signed in. */
export function useDriveLog(driveId: string) {
  const dispatch = useAppDispatch();
  const { account } = useSignedIn();
  const write = useCallback(
    (body: EventBody) => dispatch(append(driveId, body, account.id)),
    [dispatch, driveId, account.id],
  );
  const undo = useCallback(() => {
    const target = undoTarget(store.getState().driveLogs.open[driveId]?.events ?? [], deviceId(newId));
    if (target) void write({ type: 'strike', target: target.id, because: 'undone', undo: true });
    return target;
  }, [driveId, write]);
  return { write, undo };
}
