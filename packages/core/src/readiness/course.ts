import type { EffectiveStandard } from '../marking/standard';
import { courseChance, exerciseHistory } from '../yard/exercise-history';
import { wanted } from './checklist';
import type { Evidence } from './evidence';

const dayMs = 86_400_000;

/** How a learner stands with the exercises of a course. */
export interface CourseStanding {
  /** That all of them are passed, from 0 to 1, taken as if they did not depend on one another. */
  readonly chance: number;
  /** The exercise with the least chance, by its name, and how likely it is passed, from 0 to 1. */
  readonly weakest: string;
  readonly weakestChance: number;
}

/**
 * What the drives of the last weeks up to a day say of the exercises of a course, of which clocks, attempts and movements fail
 * one as marks do; undefined where the standard has no course, or an exercise that may be asked for was not driven yet.
 */
export function courseStanding(
  { id, course, exercises }: EffectiveStandard,
  evidence: readonly Evidence[],
  on: Date,
): CourseStanding | undefined {
  if (!course) return undefined;
  const names = new Map(exercises.map(({ code, name }) => [code, name]));
  const drives = evidence
    .filter(({ at }) => {
      const age = (on.getTime() - Date.parse(at)) / dayMs;
      return age >= 0 && age <= wanted.weeks * 7;
    })
    .sort((a, b) => (a.at < b.at ? -1 : 1))
    .flatMap((one) => (one.course?.standard === id ? [one.course.results] : []))
    .map((results) =>
      results.flatMap((result) => {
        const name = names.get(result.exercise);
        return name === undefined ? [] : [{ ...result, name }];
      }),
    );
  const history = exerciseHistory(drives);
  const chance = courseChance(history, exercises);
  const [weakest] = history.toSorted((a, b) => a.chance.mean - b.chance.mean);
  return chance !== undefined && weakest
    ? { chance, weakest: weakest.name, weakestChance: weakest.chance.mean }
    : undefined;
}
