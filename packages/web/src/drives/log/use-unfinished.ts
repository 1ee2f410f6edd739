import { useEffect, useState } from 'react';
import { useAppSelector } from '../../base/hooks';
import { useSignedIn } from '../../base/signed-in';
import type { UnfinishedHere } from './unfinished';
import './drive-logs';

/** What this device still has to finish or to send; the list comes after the page. */
export function useUnfinishedHere(): readonly UnfinishedHere[] {
  const { account } = useSignedIn();
  const open = useAppSelector((state) => state.driveLogs.open);
  const [unfinished, setUnfinished] = useState<readonly UnfinishedHere[]>([]);
  useEffect(() => {
    let gone = false;
    import('./unfinished')
      .then(({ unfinishedHere }) => unfinishedHere(account.id))
      .then((found) => !gone && setUnfinished(found))
      .catch(() => undefined);
    return () => {
      gone = true;
    };
  }, [account.id, open]);
  return unfinished;
}
