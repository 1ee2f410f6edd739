import { goalName, goalSeek } from '@jasperwren/words/lesson-goals';
import type { LessonGoal } from '@jasperwren/core/readiness/lesson-goal';

/** What a lesson is for, a line for each aim, with where on the road to look for it. */
export function LessonAim({ goals }: { readonly goals: readonly LessonGoal[] }) {
  return (
    <>
      {goals.map((goal) => (
        <span key={`${goal.kind} ${goal.code}`} style={{ display: 'block' }}>
          {goalName(goal)}: <span className="muted">{goalSeek(goal)}</span>
        </span>
      ))}
    </>
  );
}
