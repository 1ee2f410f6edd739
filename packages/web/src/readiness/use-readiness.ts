import type { HistoryPoint, Question, Readiness, WhatMovesIt } from '@jasperwren/core/readiness/estimate';
import { wrap, type Remote } from 'comlink';
import { useEffect, useState } from 'react';
import type { ReadinessWork } from '../workers/readiness.worker';

const makeWorker = () => new Worker(new URL('../workers/readiness.worker.ts', import.meta.url), { type: 'module' });
/** One is ready before it is asked for: it starts while the page still fetches what was driven. */
let spare: Worker | undefined = makeWorker();

/** A worker of its own for one question; ending it ends the work. */
export function startWorker(): { readonly work: Remote<ReadinessWork>; readonly end: () => void } {
  const worker = spare ?? makeWorker();
  spare = undefined;
  const end = () => {
    worker.terminate();
    spare ??= makeWorker();
  };
  return { work: wrap<ReadinessWork>(worker), end };
}

export interface Worked {
  /** The answer to the question, or to the one before it while the new one is worked out. */
  readonly readiness: Readiness | undefined;
  readonly history: readonly HistoryPoint[] | undefined;
  readonly moves: WhatMovesIt | undefined;
  readonly working: boolean;
  readonly failed: string | undefined;
}

/** Works out an estimate and its history beside the page; a new question ends the work on the one before. */
export function useReadiness(question: Question): Worked {
  const [readiness, setReadiness] = useState<Readiness>();
  const [history, setHistory] = useState<readonly HistoryPoint[]>();
  const [moves, setMoves] = useState<WhatMovesIt>();
  const [answered, setAnswered] = useState<Question>();
  const [failed, setFailed] = useState<string>();
  useEffect(() => {
    const { work, end } = startWorker();
    let wanted = true;
    const go = async () => {
      const first = await work.estimate(question);
      if (!wanted) return;
      setReadiness(first);
      setAnswered(question);
      setFailed(undefined);
      const line = await work.history(question);
      if (wanted) setHistory(line);
      const moved = await work.whatMovesIt(question);
      if (wanted) setMoves(moved);
      end();
    };
    go().catch((error: unknown) => {
      if (wanted) setFailed(error instanceof Error ? error.message : String(error));
    });
    return () => {
      wanted = false;
      end();
    };
  }, [question]);
  return { readiness, history, moves, working: answered !== question && failed === undefined, failed };
}
