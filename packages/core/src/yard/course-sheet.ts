import { currentSpan, exerciseRuns, type ExerciseRun } from '../drive/clock';
import type { Drive, Mark } from '../drive/drive';
import { countingMarks } from '../marking/counting';
import { secondsAllowed } from '../marking/exercise-limits';
import type { Reason } from '../marking/reason';
import { countsMarks, coversExercise, rulesOf } from '../marking/rules';
import type { EffectiveStandard, Exercise } from '../marking/standard';
import type { Headroom, Verdict } from '../marking/verdict';

/** One attempt at an exercise. */
export interface AttemptSheet extends ExerciseRun {
  /** The time it may take, in seconds; missing where it has no clock. */
  readonly allowedS?: number;
  readonly failedBy?: Reason;
}

/** One exercise of a course with what became of it. */
export interface ExerciseSheet {
  readonly exercise: Exercise;
  readonly state: 'to-come' | 'now' | 'done' | 'failed';
  readonly attempts: readonly AttemptSheet[];
  /** The marks that count in it, in order of their moments. */
  readonly marks: readonly Mark[];
  /** What is used up of the limit that adds up its marks, where one mark does not fail it. */
  readonly room?: Headroom;
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
    const room = verdict.headroom.find(
      ({ limit, scope, allowed }) => scope === code && allowed > 0 && countsMarks(limit.measure),
    );
    return {
      exercise,
      state: code === under ? 'now' : failedBy ? 'failed' : own.length > 0 ? 'done' : 'to-come',
      attempts,
      marks: marks.filter((mark) => (items.get(mark.item)?.item.exercise ?? mark.exercise) === code),
      ...(room && { room }),
      ...(failedBy && { failedBy }),
    };
  });
}

/** What one mark after another in an exercise may add up to, where one does not fail it: "Demerits in one exercise". */
export function roomAllowed(standard: EffectiveStandard, exercise: string): number | undefined {
  return standard.limits.find(
    (limit) => countsMarks(limit.measure) && limit.allowed.value > 0 && coversExercise(limit, exercise),
  )?.allowed.value;
}

/** The exercises of which one comes next: those that may follow the last one driven, or the first that is left. */
export function nextExercises(standard: EffectiveStandard, drive: Drive): readonly Exercise[] {
  const driven = drive.spans.flatMap(({ exercise }) => exercise ?? []);
  const left = standard.exercises.filter(({ code }) => !driven.includes(code));
  const last = standard.exercises.find(({ code }) => code === driven.at(-1));
  const branches = left.filter(({ code }) => last?.next?.includes(code));
  return branches.length > 0 ? branches : left.slice(0, 1);
}
