import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { randomPlan, simulateRun } from '@jasperwren/core/yard/simulate-run';
import { sampleMs } from '@jasperwren/core/yard/simulated-car';
import { csvHead, csvRows } from '@jasperwren/core/yard/telemetry-csv';
import { sendRun } from './send-run';

/** A simulated learner: makes each slip with this chance. */
export interface SimulatedLearner {
  readonly seed: number;
  readonly slips: number;
}

/** The chances that are offered: careful makes none. */
export const learners = { careful: 0, average: 0.08, careless: 0.25 } as const;
export type LearnerKind = keyof typeof learners;

/** A learner of a kind, another one each time. */
export const newLearner = (kind: LearnerKind): SimulatedLearner => ({
  seed: Math.floor(Math.random() * 1e9),
  slips: learners[kind],
});

/** The rows of a simulated run, under the head of a file with every channel. */
export const simulatedRows = (standard: EffectiveStandard, { seed, slips }: SimulatedLearner): readonly string[] =>
  csvRows(simulateRun(standard, randomPlan(standard, seed, slips)));

const keyOf = (run: string) => `jasperwren.simulated.${run}`;

/** Keeps what a simulated car needs to go on after a reload: who drives, and when it set off. */
export function keepSimulated(run: string, learner: SimulatedLearner): void {
  try {
    sessionStorage.setItem(keyOf(run), JSON.stringify({ ...learner, startedAt: Date.now() }));
  } catch {
    // It stops with the page then.
  }
}

/** Rows become due so often, in milliseconds. */
const tickMs = 200;

/**
 * Drives a simulated car that was kept on this page: it sends as it drives, and what became due while the page was away or the
 * server gone all at once, as a logger that holds back does. Returns how to stop; undefined where none was kept.
 */
export function driveSimulated(standard: EffectiveStandard, run: string): (() => void) | undefined {
  const text = sessionStorage.getItem(keyOf(run));
  if (text === null) return undefined;
  const { startedAt, ...learner } = JSON.parse(text) as SimulatedLearner & { readonly startedAt: number };
  const rows = simulatedRows(standard, learner);
  const sender = sendRun({ run, columns: csvHead, rows });
  const timer = setInterval(() => {
    const due = Math.floor((Date.now() - startedAt) / sampleMs);
    sender.advance(due);
    if (due >= rows.length) clearInterval(timer);
  }, tickMs);
  return () => {
    clearInterval(timer);
    sender.close();
  };
}
