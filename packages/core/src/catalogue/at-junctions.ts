import { category } from './behaviour';

/** What is watched where roads and people cross. */
export const atJunctions = [
  category('J', 'junctions', 'Junctions', [
    ['A', 'approach', 'Approach speed', 'Approaches at a speed that leaves time to look and to stop.'],
    ['O', 'observation', 'Observation', 'Looks both ways, and again, until it is clear.'],
    ['G', 'giving-way', 'Giving way', 'Emerges without making anyone slow, stop or swerve.'],
    ['S', 'stop-line', 'Stop line', 'A full stop at the line, the wheels still, before going on.'],
    ['X', 'turn-across', 'Turning across traffic', 'Position and timing of a turn that crosses the oncoming side.'],
    ['N', 'turn-near', 'Turning on the kerb side', 'Position and line of a turn that stays on the own side.'],
    [
      'C',
      'cutting',
      'Cutting corners or swinging wide',
      'Turns without cutting the corner or swinging over the other side.',
    ],
    ['Q', 'arrival-order', 'All-way stop order', 'At an all-way stop goes in turn, and yields where the rule says so.'],
  ]),
  category('R', 'roundabouts', 'Roundabouts', [
    ['A', 'approach', 'Approach speed', 'Approaches at a speed that leaves time to merge or to stop.'],
    ['G', 'giving-way', 'Observation and giving way', 'Sees what is on the roundabout and goes when there is a gap.'],
    ['L', 'lane', 'Lane', 'Takes and holds the right lane in and round.'],
    ['S', 'signal', 'Signal', 'Signals in, round and out so that others can tell the exit.'],
    ['E', 'exit', 'Leaving', 'Mirrors, lane and line on the way out.'],
  ]),
  category('L', 'signs', 'Signs and lights', [
    ['L', 'lights', 'Traffic lights', 'Acts on red, green and arrows, and does not sleep through a phase.'],
    ['A', 'amber', 'Amber', 'Stops for amber where that is safe, and goes on where stopping is not.'],
    ['N', 'signs', 'Signs', 'Sees and follows signs that forbid, order and warn.'],
    ['M', 'markings', 'Road markings', 'Follows lines, arrows, hatching and box markings.'],
    ['O', 'controllers', 'Police and traffic wardens', 'Follows police, wardens, crossing patrols and road workers.'],
    ['R', 'railway', 'Railway crossings', 'Approaches ready to stop and never waits on the rails.'],
  ]),
  category('X', 'crossings', 'Crossings', [
    ['A', 'approach', 'Approach', 'Approaches looking for people, ready to stop.'],
    ['P', 'precedence', 'Giving priority', 'Lets people cross who are crossing or about to.'],
    ['W', 'blocking', 'Keeping the crossing clear', 'Does not stop on a crossing or wave people over.'],
    ['S', 'side-road', 'People at a side road', 'Waits for people crossing the road that is being turned into.'],
  ]),
] as const;
