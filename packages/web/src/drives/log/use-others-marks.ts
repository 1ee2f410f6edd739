import { useEffect } from 'react';
import { useAppDispatch } from '../../base/hooks';
import { learnFromServer } from './open-drive';

const everyMs = 4000;

/** Keeps up with what other devices mark on a drive, while it is open and the network is there. */
export function useOthersMarks(driveId: string, on: boolean): void {
  const dispatch = useAppDispatch();
  useEffect(() => {
    if (!on) return;
    const timer = setInterval(() => {
      if (navigator.onLine) void dispatch(learnFromServer(driveId));
    }, everyMs);
    return () => clearInterval(timer);
  }, [dispatch, driveId, on]);
}
