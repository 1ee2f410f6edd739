import { seenFrom } from '@jasperwren/motion/geometry';
import type { Layout } from '@jasperwren/motion/layout/layout';
import { thingsOf, type Rule } from '@jasperwren/motion/sight/rule-of-thumb';

/** A rule to begin with: straight until the shoulder is level with something, full lock until in line, straight in. */
export function startRule(layout: Layout): Rule {
  const { start, goal } = layout;
  const to = goal.kind === 'poses' ? goal.poses[0]! : start;
  const at = seenFrom(start, to);
  const [thing] = thingsOf(layout);
  const turns = goal.kind === 'poses' ? goal.poses[0]!.heading - start.heading : goal.heading - start.heading;
  // Backwards where it ends with the front towards where it came from, or behind where it began.
  const back = at.x < 0 || (Math.sin(turns) !== 0 && Math.sign(Math.sin(turns)) !== Math.sign(at.y));
  const lock = at.y < 0 ? -1 : 1;
  return [
    {
      lock: 0,
      back,
      until: thing === undefined ? { kind: 'metres', metres: 1 } : { kind: 'level', feature: 'shoulder', thing },
    },
    { lock, back, until: { kind: 'in-line' } },
    { lock: 0, back, until: goal.kind === 'poses' ? { kind: 'in-place' } : { kind: 'metres', metres: 1 } },
  ];
}
