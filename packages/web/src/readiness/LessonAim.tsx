import type { LessonGoal } from '@jasperwren/core/readiness/lesson-goal';
import { goalName, goalSeek } from '@jasperwren/words/lesson-goals';

/** What a lesson is for, a line for each aim, with where on the road to look for it. */
export function LessonAim({ goals }: { readonly goals: readonly LessonGoal[] }) {
  return (
    <ul>
      {goals.map((goal) => (
        <li key={`${goal.kind} ${goal.code}`}>
          <b>{goalName(goal)}:</b> <span className="muted">{goalSeek(goal)}</span>
        </li>
      ))}
    </ul>
  );
}
