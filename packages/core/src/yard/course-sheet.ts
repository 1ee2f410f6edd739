import { currentSpan, exerciseRuns, type ExerciseRun } from '../drive/clock';
import type { Drive, Mark } from '../drive/drive';
import { countingMarks } from '../marking/counting';
import { limitOf, secondsAllowed } from '../marking/exercise-limits';
import type { Reason } from '../marking/reason';
import { countsMarks, coversExercise, rulesOf } from '../marking/rules';
import type { EffectiveStandard, Limit } from '../marking/standard';
import type { Exercise } from '../marking/exercise';
import type { Headroom, Verdict } from '../marking/verdict';
import { mayFollow } from '../marking/way-through';

/** One attempt at an exercise. */
export interface AttemptSheet extends ExerciseRun {
  /** The time it may take, in seconds; missing where it has no clock. */
  readonly allowedS?: number;
  readonly failedBy?: Reason;
}

/** One exercise of a course with what became of it. */
export interface ExerciseSheet {
  readonly exercise: Exercise;
  /** `again` where the last attempt failed and the exercise has not: it stays open until repeated. */
  readonly state: 'to-come' | 'now' | 'done' | 'again' | 'failed';
  readonly attempts: readonly AttemptSheet[];
  /** The marks that count in it, in order of their moments. */
  readonly marks: readonly Mark[];
  /** What is used up of the limit that adds up its marks, where one mark does not fail it. */
  readonly room?: Pick<Headroom, 'limit' | 'used' | 'allowed' | 'left'>;
  /** The time a first attempt may take, in seconds; missing where it has no clock. */
  readonly allowedS?: number;
  /** What failed it. */
  readonly failedBy?: Reason;
}

/** The exercises of a course in their order, each with its attempts, marks and what failed it; `nowMs` as for `drivenMs`. */
export function courseSheet(
  standard: EffectiveStandard,
  drive: Drive,
  verdict: Verdict,
  nowMs: number,
): readonly ExerciseSheet[] {
  const { items } = rulesOf(standard);
  const runs = exerciseRuns(drive, nowMs);
  const marks = countingMarks(standard, drive);
  const under = drive.ended ? undefined : currentSpan(drive)?.exercise;
  return standard.exercises.map((exercise): ExerciseSheet => {
    const { code } = exercise;
    const own = runs.filter((run) => run.exercise === code);
    const attempts = own.map((run, i): AttemptSheet => {
      const allowedS = secondsAllowed(standard, code, run.retest);
      const until = own[i + 1]?.fromMs ?? Infinity;
      const failedBy = verdict.failedAttempts.find(
        ({ scope, crossedAtMs }) => scope === code && crossedAtMs >= run.fromMs && crossedAtMs < until,
      );
      return { ...run, ...(allowedS !== undefined && { allowedS }), ...(failedBy && { failedBy }) };
    });
    const failedBy = verdict.failedExercises.find(({ scope }) => scope === code);
    const room = roomIn(standard, verdict, code);
    const allowedS = secondsAllowed(standard, code, false);
    return {
      exercise,
      state: code === under ? 'now' : failedBy ? 'failed' : stateAfter(attempts.at(-1)),
      attempts,
      marks: marks.filter((mark) => (items.get(mark.item)?.item.exercise ?? mark.exercise) === code),
      ...(room && { room }),
      ...(allowedS !== undefined && { allowedS }),
      ...(failedBy && { failedBy }),
    };
  });
}

const stateAfter = (last: AttemptSheet | undefined): ExerciseSheet['state'] =>
  !last ? 'to-come' : last.failedBy || last.failedAtMs !== undefined ? 'again' : 'done';

function roomIn(standard: EffectiveStandard, verdict: Verdict, exercise: string): ExerciseSheet['room'] {
  const adds = ({ measure, allowed }: Limit) => countsMarks(measure) && allowed.value > 0;
  const used = verdict.headroom.find(({ limit, scope }) => scope === exercise && adds(limit));
  if (used) return used;
  const limit = standard.limits.find((one) => adds(one) && coversExercise(one, exercise));
  return limit && { limit, used: 0, allowed: limit.allowed.value, left: limit.allowed.value };
}

/**
 * The exercises of which one comes next: the last one again where its attempt failed and another is left, or else those that
 * may follow.
 */
export function nextExercises(standard: EffectiveStandard, drive: Drive, verdict: Verdict): readonly Exercise[] {
  const runs = exerciseRuns(drive, drive.lastMs);
  const lastRun = runs.at(-1);
  const last = standard.exercises.find(({ code }) => code === lastRun?.exercise);
  if (last && lastRun && mayTryAgain(standard, runs, lastRun, verdict)) return [last];
  return mayFollow(standard.exercises, [...new Set(runs.map(({ exercise }) => exercise))]);
}

function mayTryAgain(
  standard: EffectiveStandard,
  runs: readonly ExerciseRun[],
  { exercise, fromMs, failedAtMs }: ExerciseRun,
  { failedAttempts, failedExercises }: Verdict,
): boolean {
  const most = limitOf(standard, exercise, 'attempts')?.allowed.value ?? 1;
  const failed =
    failedAtMs !== undefined ||
    failedAttempts.some(({ scope, crossedAtMs }) => scope === exercise && crossedAtMs >= fromMs);
  return (
    failed &&
    runs.filter((run) => run.exercise === exercise).length < most &&
    !failedExercises.some(({ scope }) => scope === exercise)
  );
}
