import { foldDrive } from '@jasperwren/core/drive/fold';
import { useEffect, useState } from 'react';
import { useAppSelector } from '../../base/hooks';
import { useSignedIn } from '../../base/signed-in';
import { keptDrives } from './device-log';

/** A drive on this device that has not ended, or whose events the server does not all have. */
export interface UnfinishedHere {
  readonly id: string;
  readonly learnerName: string;
  readonly unsent: number;
}

/** What this device still has to finish or to send. */
export function useUnfinishedHere(): readonly UnfinishedHere[] {
  const { account } = useSignedIn();
  const open = useAppSelector((state) => state.driveLogs.open);
  const [unfinished, setUnfinished] = useState<readonly UnfinishedHere[]>([]);
  useEffect(() => {
    let gone = false;
    keptDrives(account.id)
      .then((drives) => {
        if (gone) return;
        setUnfinished(
          drives.flatMap(({ meta, events, unsent }) => {
            const ended = foldDrive(events).phase === 'ended';
            return ended && unsent.length === 0
              ? []
              : [{ id: meta.id, learnerName: meta.learnerName, unsent: unsent.length }];
          }),
        );
      })
      .catch(() => undefined);
    return () => {
      gone = true;
    };
  }, [account.id, open]);
  return unfinished;
}
