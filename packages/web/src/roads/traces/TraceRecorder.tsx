import type { CarRoute } from '@jasperwren/core/routes/car-route';
import { t } from '@jasperwren/words/traces';
import { useEffect, useRef } from 'react';
import { useAppDispatch, useAppSelector } from '../../base/hooks';
import { useSignedIn } from '../../base/signed-in';
import { keepRecording, recordingSet } from './recording-slice';
import { recordDevice, recordSimulated } from './record';
import styles from './recording.module.css';
import { useWakeLock } from './use-wake-lock';

interface Props {
  readonly driveId: string;
  readonly ended: boolean;
  readonly route: CarRoute | undefined;
  /** Seconds driven now. */
  readonly secondsNow: () => number;
}

/** Notes where the car goes while a mock test runs, where that was agreed to; says so as long as it does. */
export default function TraceRecorder({ driveId, ended, route, secondsNow }: Props) {
  const dispatch = useAppDispatch();
  const { account } = useSignedIn();
  const all = useAppSelector(({ recording }) => recording.from);
  const fixes = useAppSelector(({ recording }) => recording.fixes[driveId] ?? 0);
  const failed = useAppSelector(({ recording }) => recording.failed);
  const from = all[driveId];
  // The clock of now, whatever has happened since the recording began.
  const clock = useRef(secondsNow);
  useEffect(() => {
    clock.current = secondsNow;
  });
  useEffect(() => keepRecording(all), [all]);
  useEffect(() => {
    if (ended) dispatch(recordingSet({ driveId, from: undefined }));
  }, [dispatch, driveId, ended]);
  useEffect(() => {
    if (from === undefined || ended) return undefined;
    const target = { driveId, owner: account.id };
    return from === 'simulated' && route ? recordSimulated(target, route, () => clock.current()) : recordDevice(target);
  }, [driveId, account.id, from, ended, route]);
  useWakeLock(from !== undefined && !ended);
  if (from === undefined || ended) return null;
  return (
    <span className={styles.recording} role={failed ? 'alert' : undefined}>
      {failed ? t('noPosition', { why: failed }) : fixes === 0 ? t('noPositionYet') : t('recording')}
    </span>
  );
}
