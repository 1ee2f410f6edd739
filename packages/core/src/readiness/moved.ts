import type { Evidence, FaultKind } from './evidence';
import { totalOf } from './evidence';

/** What the drives of a school come to, by which it is seen whether its figures have moved. */
export interface SchoolSummary {
  readonly learners: number;
  readonly drives: number;
  /** Faults a drive by kind: their mean, and its standard error. */
  readonly faults: Readonly<Record<FaultKind, { readonly mean: number; readonly error: number }>>;
  readonly markers: number;
}

/** How far a mean may go before the figures are fitted again, in its standard errors (house default). */
const farInErrors = 0.5;
/** And how much the number of drives may change: figures of few drives follow each of them (house default). */
const farInDrives = 0.25;

/** The summary of a school's drives, for each learner in any order. */
export function summaryOf(learners: readonly (readonly Evidence[])[]): SchoolSummary {
  const all = learners.flat();
  const faultsOf = (kind: FaultKind) => {
    const counts = all.map((evidence) => totalOf(evidence, kind));
    const n = Math.max(1, counts.length);
    const mean = counts.reduce((sum, count) => sum + count, 0) / n;
    const spread = counts.reduce((sum, count) => sum + (count - mean) ** 2, 0) / Math.max(1, n - 1);
    return { mean, error: Math.sqrt(spread / n) };
  };
  return {
    learners: learners.filter((evidence) => evidence.length > 0).length,
    drives: all.length,
    faults: { counted: faultsOf('counted'), outright: faultsOf('outright') },
    markers: new Set(all.flatMap(({ marker }) => marker ?? [])).size,
  };
}

/**
 * Whether the figures of a school are to be fitted again: its mean faults a drive have moved by half of their own standard
 * error, it has a quarter more or fewer drives, or somebody else marks.
 */
export function hasMoved(fitted: SchoolSummary, now: SchoolSummary): boolean {
  if (now.markers !== fitted.markers) return true;
  if (Math.abs(now.drives - fitted.drives) > farInDrives * fitted.drives) return true;
  return (['counted', 'outright'] as const).some((kind) => {
    const [before, after] = [fitted.faults[kind], now.faults[kind]];
    return Math.abs(after.mean - before.mean) > farInErrors * before.error;
  });
}
