import { useEffect, useState } from 'react';
import { driveNowMs } from '../log/drive-clock';

const everyMs = 500;

/** The drive's clock, ticking; only what shows time should use it. */
export function useNow(driveId: string, ticking: boolean): number {
  const [nowMs, setNowMs] = useState(() => driveNowMs(driveId));
  useEffect(() => {
    if (!ticking) return;
    const timer = setInterval(() => setNowMs(driveNowMs(driveId)), everyMs);
    return () => clearInterval(timer);
  }, [driveId, ticking]);
  return nowMs;
}
