import { useEffect } from 'react';

/** Keeps the screen on while it is wanted, where the browser can. */
export function useWakeLock(wanted: boolean): void {
  useEffect(() => {
    if (!wanted || !('wakeLock' in navigator)) return undefined;
    let lock: WakeLockSentinel | undefined;
    let gone = false;
    // It is given up whenever the page is out of sight.
    const ask = () => {
      if (document.visibilityState !== 'visible') return;
      void navigator.wakeLock
        .request('screen')
        .then((given) => {
          if (gone) void given.release();
          else lock = given;
        })
        // A battery that is low says no; the trace goes on as long as the screen does.
        .catch(() => undefined);
    };
    ask();
    document.addEventListener('visibilitychange', ask);
    return () => {
      gone = true;
      document.removeEventListener('visibilitychange', ask);
      void lock?.release();
    };
  }, [wanted]);
}
