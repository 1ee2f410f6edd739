import type { SentSample } from '@jasperwren/core/yard/sample';
import { useEffect, useState } from 'react';
import { watchRun } from '../feed/watch-run';

/** What has come is shown so often, in milliseconds. */
const showMs = 700;

/** The samples of a run, and those that come while it is sent; undefined until the first have arrived. */
export function useRunSamples(run: string | undefined): readonly SentSample[] | undefined {
  const [shown, setShown] = useState<{ readonly run: string; readonly samples: readonly SentSample[] }>();
  useEffect(() => {
    if (run === undefined) return;
    const all: SentSample[] = [];
    let timer: ReturnType<typeof setTimeout> | undefined;
    const stop = watchRun(run, {
      samples(more) {
        all.push(...more);
        timer ??= setTimeout(() => {
          timer = undefined;
          setShown({ run, samples: [...all] });
        }, showMs);
      },
    });
    return () => {
      clearTimeout(timer);
      stop();
    };
  }, [run]);
  return shown?.run === run ? shown?.samples : undefined;
}
