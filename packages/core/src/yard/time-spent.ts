import type { Finding } from './findings';
import { startIntake } from './intake';
import { startMoments } from './moment';
import type { SentSample } from './sample';

/** Where the seconds of one attempt at an exercise went. */
export interface TimeSpent {
  readonly exercise: string;
  /** All in milliseconds of the car's clock. */
  readonly standingMs: number;
  readonly forwardMs: number;
  readonly backwardMs: number;
  /** Nothing was heard of the car. */
  readonly unknownMs: number;
}

const spans = { '0': 'standingMs', '1': 'forwardMs', '-1': 'backwardMs' } as const;

/** Where the seconds of each attempt at an exercise went, from the start of its clock until it was left, in their order. */
export function timeSpent(samples: readonly SentSample[], findings: readonly Finding[]): readonly TimeSpent[] {
  const stretches = stretchesOf(findings);
  const sums = stretches.map(({ exercise }) => ({
    exercise,
    standingMs: 0,
    forwardMs: 0,
    backwardMs: 0,
    unknownMs: 0,
  }));
  const intake = startIntake();
  const moments = startMoments();
  let i = 0;
  let lastAt: number | undefined;
  const add = (to: number, span: keyof Omit<TimeSpent, 'exercise'>) => {
    let from = lastAt ?? to;
    for (; i < stretches.length; i++) {
      const { from: begins, to: ends } = stretches[i]!;
      sums[i]![span] += Math.max(0, Math.min(to, ends) - Math.max(from, begins));
      if (to < ends) break;
      from = ends;
    }
    lastAt = to;
  };
  const taken = [...samples.flatMap((sample) => intake.take(sample)), ...intake.end()];
  for (const one of taken) {
    if (one.kind === 'gap') {
      add(one.to, 'unknownMs');
      continue;
    }
    const { now, before } = moments(one);
    if (before) add(now.at, spans[`${before.way}`]);
    else lastAt = now.at;
  }
  return sums;
}

/** The attempts: from the start of the clock to the end. */
function stretchesOf(findings: readonly Finding[]) {
  const stretches: { readonly exercise: string; readonly from: number; to: number }[] = [];
  for (const one of findings) {
    const open = stretches.at(-1);
    if (one.kind === 'exercise') stretches.push({ exercise: one.exercise, from: one.at, to: Infinity });
    else if (one.kind === 'exercise-left' && open?.exercise === one.exercise) open.to = one.at;
  }
  return stretches;
}
