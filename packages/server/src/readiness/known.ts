import type { LearnerView } from '@jasperwren/contract/learners';
import { centreKey, type Evidence } from '@jasperwren/core/readiness/evidence';
import type { LessonGoal } from '@jasperwren/core/readiness/lesson-goal';
import type { Lesson } from '@jasperwren/core/readiness/practice';
import { sightOf, type StandardSight } from '@jasperwren/core/readiness/shown';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import type { InSchool } from '../call';

/** What is known of a learner besides the drives. */
export interface KnownOfLearner {
  readonly lessons: readonly Lesson[];
  readonly testDate?: string;
  readonly centre?: string;
}

export async function knownOf(call: InSchool, { id, testDate, testCentre }: LearnerView): Promise<KnownOfLearner> {
  return {
    lessons: (await lessonsBy(call, id)).get(id) ?? [],
    ...(testDate !== undefined && { testDate }),
    ...(testCentre !== undefined && { centre: centreKey(testCentre) }),
  };
}

/** The lessons that stand of every learner of a school, or of one, with the areas they are for, the earliest first. */
export async function lessonsBy(
  { db, who: { schoolId } }: InSchool,
  learnerId?: string,
): Promise<ReadonlyMap<string, readonly Lesson[]>> {
  let query = db
    .selectFrom('lessons')
    .select(['learner_id', 'start', 'goals'])
    .where('school_id', '=', schoolId)
    .where('cancelled', '=', 0)
    .orderBy('start');
  if (learnerId !== undefined) query = query.where('learner_id', '=', learnerId);
  const by = new Map<string, Lesson[]>();
  for (const { learner_id, start, goals } of await query.execute()) {
    const areas = (JSON.parse(goals) as readonly LessonGoal[]).flatMap(({ kind, code }) =>
      kind === 'area' ? [code] : [],
    );
    const others = by.get(learner_id);
    if (others) others.push({ start, areas });
    else by.set(learner_id, [{ start, areas }]);
  }
  return by;
}

/** What the standards of some drives look at; one that a school has no more is not among them. */
export function sightsFor(
  evidence: readonly Evidence[],
  standards: readonly EffectiveStandard[],
): readonly StandardSight[] {
  const driven = new Set(evidence.map(({ standard }) => standard));
  return standards.filter(({ id }) => driven.has(id)).map(sightOf);
}
