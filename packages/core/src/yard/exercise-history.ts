import betaQuantile from '@stdlib/stats-base-dists-beta-quantile';
import type { Drive } from '../drive/drive';
import { limitOf } from '../marking/exercise-limits';
import type { EffectiveStandard } from '../marking/standard';
import type { Exercise } from '../marking/exercise';
import type { Verdict } from '../marking/verdict';
import { courseSheet } from './course-sheet';
import { waysThrough } from '../marking/way-through';

/** What became of an exercise on one drive: its last attempt. */
export interface ExerciseResult {
  readonly exercise: string;
  readonly name: string;
  readonly passed: boolean;
  /** Pauses left out. */
  readonly timeMs: number;
  /** The time it may take, in seconds; missing where it has no clock. */
  readonly allowedS?: number;
  /** What its marks added up to, where the standard adds them up. */
  readonly used?: number;
  readonly allowed?: number;
  /** Its movements, where the standard limits them or some were counted. */
  readonly movements?: number;
}

/** The exercises that were driven on an ended drive, in the order of the course. */
export function exerciseResults(
  standard: EffectiveStandard,
  drive: Drive,
  verdict: Verdict,
): readonly ExerciseResult[] {
  if (!standard.course || !drive.ended) return [];
  return courseSheet(standard, drive, verdict, drive.lastMs).flatMap(({ exercise, attempts, failedBy, room }) => {
    const last = attempts.at(-1);
    if (!last) return [];
    const movements = last.steps.movement.length;
    return [
      {
        exercise: exercise.code,
        name: exercise.name,
        passed: !failedBy && !last.failedBy && last.failedAtMs === undefined,
        timeMs: last.timeMs,
        ...(last.allowedS !== undefined && { allowedS: last.allowedS }),
        ...(room && { used: room.used, allowed: room.allowed }),
        ...((movements > 0 || limitOf(standard, exercise.code, 'steps', 'movement')) && { movements }),
      },
    ];
  });
}

/** How often something would come out well, from 0 to 1, with the range that holds it 90 times of 100. */
export interface Chance {
  readonly mean: number;
  readonly low: number;
  readonly high: number;
}

/** What the chance of an exercise rests on. */
type Outcome = Pick<ExerciseResult, 'exercise' | 'name' | 'passed'>;

/** An exercise over the drives of a learner. */
export interface ExerciseHistory<R extends Outcome = ExerciseResult> {
  readonly exercise: string;
  readonly name: string;
  /** Of the drives on which it was driven, in their order. */
  readonly results: readonly R[];
  readonly passed: number;
  /** That it is passed next time. */
  readonly chance: Chance;
}

/** A drive two drives back weighs half of the last one (house default, as for what is likely on the marking screen). */
const halfLifeDrives = 2;

/**
 * Each exercise over the drives of a learner under one standard, in the order of the course, and the chance that it is
 * passed next time: the posterior of a proportion with the prior of H. Jeffreys (Theory of Probability, 1961, from memory),
 * a beta distribution with one half on either side, in which a drive counts less the longer ago it was.
 * @param drives oldest first
 */
export function exerciseHistory<R extends Outcome>(drives: readonly (readonly R[])[]): readonly ExerciseHistory<R>[] {
  const byExercise = new Map<string, R[]>();
  for (const result of drives.flat())
    byExercise.set(result.exercise, [...(byExercise.get(result.exercise) ?? []), result]);
  return [...byExercise].map(([exercise, results]) => ({
    exercise,
    name: results.at(-1)!.name,
    results,
    passed: results.filter(({ passed }) => passed).length,
    chance: chanceOf(results.map(({ passed }) => passed)),
  }));
}

/** The chance of passing next after these, oldest first. */
export function chanceOf(passed: readonly boolean[]): Chance {
  const weight = (i: number) => 2 ** ((i + 1 - passed.length) / halfLifeDrives);
  const sum = (which: boolean) => passed.reduce((all, one, i) => all + (one === which ? weight(i) : 0), 0.5);
  const [a, b] = [sum(true), sum(false)];
  return { mean: a / (a + b), low: betaQuantile(0.05, a, b), high: betaQuantile(0.95, a, b) };
}

/**
 * The chance of passing all exercises of a course, taken as if they did not depend on one another: an estimate without a range.
 * Where the course has branches it is the mean over the ways through it.
 * @returns undefined where an exercise that may be asked for was never driven
 */
export function courseChance(
  history: readonly Pick<ExerciseHistory, 'exercise' | 'chance'>[],
  exercises: readonly Exercise[],
): number | undefined {
  const means = new Map(history.map(({ exercise, chance }) => [exercise, chance.mean]));
  const ways = waysThrough(exercises);
  if (ways.length === 0 || ways.some((way) => way.some((code) => !means.has(code)))) return undefined;
  const chances = ways.map((way) => way.reduce((all, code) => all * means.get(code)!, 1));
  return chances.reduce((sum, chance) => sum + chance, 0) / ways.length;
}
