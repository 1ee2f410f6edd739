/**
 * A hidden Markov model as a lattice: steps with candidates, and arcs between those of one step and the next. All weights are
 * natural logarithms.
 */
export interface Step {
  /** How well each candidate fits what was seen. */
  readonly seen: readonly number[];
  /** Arcs from the step before; none in the first. */
  readonly arcs: readonly Arc[];
}

export interface Arc {
  readonly from: number;
  readonly to: number;
  readonly weight: number;
}

/** Weight of the best row of candidates up to each candidate of a step. */
export function bestBefore(before: readonly number[], { seen, arcs }: Step): readonly number[] {
  const best = seen.map(() => -Infinity);
  for (const { from, to, weight } of arcs) best[to] = Math.max(best[to]!, before[from]! + weight);
  return best.map((value, k) => value + seen[k]!);
}

/**
 * The likeliest row of candidates (A. Viterbi, 1967), and for each candidate and each arc the probability that the truth led
 * over it, by all rows there are (the forward-backward procedure; L. E. Baum and others, 1970).
 */
export function solve(steps: readonly Step[]) {
  const best: (readonly number[])[] = [];
  const forward: (readonly number[])[] = [];
  steps.forEach((step, i) => {
    if (i === 0) {
      best.push(step.seen);
      forward.push(step.seen);
      return;
    }
    best.push(bestBefore(best[i - 1]!, step));
    const into = step.seen.map((): number[] => []);
    for (const { from, to, weight } of step.arcs) into[to]!.push(forward[i - 1]![from]! + weight);
    forward.push(into.map((values, k) => sumOfLogs(values) + step.seen[k]!));
  });
  const last = steps.length - 1;
  const backward: (readonly number[])[] = [];
  backward[last] = steps[last]!.seen.map(() => 0);
  for (let i = last; i > 0; i--) {
    const outOf = steps[i - 1]!.seen.map((): number[] => []);
    for (const { from, to, weight } of steps[i]!.arcs)
      outOf[from]!.push(weight + steps[i]!.seen[to]! + backward[i]![to]!);
    backward[i - 1] = outOf.map(sumOfLogs);
  }
  const whole = sumOfLogs(forward[last]!);
  const row: number[] = [];
  let at = indexOfGreatest(best[last]!);
  for (let i = last; i >= 0; i--) {
    row.push(at);
    if (i === 0) break;
    const arcs = steps[i]!.arcs.filter(({ to }) => to === at);
    at = arcs.reduce((a, b) => (best[i - 1]![b.from]! + b.weight > best[i - 1]![a.from]! + a.weight ? b : a)).from;
  }
  return {
    row: row.reverse(),
    probability: (step: number, candidate: number) =>
      Math.exp(forward[step]![candidate]! + backward[step]![candidate]! - whole),
    arcProbability: (step: number, { from, to, weight }: Arc) =>
      Math.exp(forward[step - 1]![from]! + weight + steps[step]!.seen[to]! + backward[step]![to]! - whole),
  };
}

function sumOfLogs(values: readonly number[]): number {
  const most = Math.max(...values, -Infinity);
  if (most === -Infinity) return most;
  return most + Math.log(values.reduce((sum, value) => sum + Math.exp(value - most), 0));
}

const indexOfGreatest = (values: readonly number[]) => values.reduce((a, value, i) => (value > values[a]! ? i : a), 0);
