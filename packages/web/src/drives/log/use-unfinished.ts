import { foldDrive } from '@jasperwren/core/drive/fold';
import { useEffect, useState } from 'react';
import { useAppSelector } from '../../app/hooks';
import { useSignedIn } from '../../session/signed-in';
import { keptDrives } from './device-log';

/** A drive on this device that has not ended, or whose events the server does not all have. */
export interface UnfinishedHere {
  readonly id: string;
  readonly learnerName: string;
  readonly unsent: number;
}

/** What this device still has to finish or to send. */
export function useUnfinishedHere(): readonly UnfinishedHere[] {
  const { school } = useSignedIn();
  const open = useAppSelector((state) => state.driveLogs.open);
  const [unfinished, setUnfinished] = useState<readonly UnfinishedHere[]>([]);
  useEffect(() => {
    let gone = false;
    keptDrives(school.id)
      .then((drives) => {
        if (gone) return;
        setUnfinished(
          drives.flatMap(({ meta, events }) => {
            const unsent = events.filter(({ sent }) => !sent).length;
            const ended = foldDrive(events.map(({ event }) => event)).phase === 'ended';
            return ended && unsent === 0 ? [] : [{ id: meta.id, learnerName: meta.learnerName, unsent }];
          }),
        );
      })
      .catch(() => undefined);
    return () => {
      gone = true;
    };
  }, [school.id, open]);
  return unfinished;
}
