import type { EffectiveStandard } from '../marking/standard';
import { timedYard } from '../marking/testing-standards';
import { judgeRun, type JudgedRun, type RunFacts } from './judge-run';
import type { SentSample } from './sample';
import { randomPlan, simulateRun, type RunPlan } from './simulate-run';
import type { Slip } from './simulated-exercises';

const facts: RunFacts = { run: 'run', learnerId: 'learner', startedAt: '2026-05-04T09:00:00.000Z', by: 'instructor' };

/** Judges samples as a run of a made-up learner. */
export function judged(samples: readonly SentSample[], standard = timedYard, more: Partial<RunFacts> = {}): JudgedRun {
  return judgeRun(standard, samples, { ...facts, ...more })!;
}

/** A run without a fault, but for these slips in the exercise, or after it. */
export function planWith(
  exercise: string,
  slips: readonly Slip[],
  more: { readonly waitS?: number; readonly standard?: EffectiveStandard } & Partial<RunPlan> = {},
): RunPlan {
  const { waitS, standard = timedYard, ...rest } = more;
  const plan = randomPlan(standard, 1, 0);
  return {
    ...plan,
    automatic: false,
    exercises: plan.exercises.map((one) =>
      one.exercise === exercise ? { ...one, slips, ...(waitS !== undefined && { waitS }) } : one,
    ),
    ...rest,
  };
}

/** The run of such a plan, judged. */
export function runWith(...[exercise, slips, more = {}]: Parameters<typeof planWith>): JudgedRun {
  const { standard = timedYard } = more;
  return judged(simulateRun(standard, planWith(exercise, slips, more)), standard);
}
