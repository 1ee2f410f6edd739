import { category } from './behaviour';

/** What is watched where roads and people cross. */
export const atJunctions = [
  category('J', 'junctions', 'Junctions', [
    ['A', 'approach', 'Approach speed', 'Arrives at a speed from which looking and stopping are both easy.'],
    ['O', 'observation', 'Looking', 'Looks both ways and again until the way is known to be clear.'],
    ['G', 'giving-way', 'Giving way', 'Emerges without making anybody slow, stop or swerve.'],
    ['S', 'stop-line', 'Stop line', 'A full stop at the line, the wheels still, before going on.'],
    ['X', 'turn-across', 'Turning across traffic', 'Position and timing of a turn that crosses the oncoming side.'],
    ['N', 'turn-near', 'Turning to the near side', 'Position and line of a turn that stays on the own side.'],
    ['C', 'cutting', 'Cutting or running wide', 'Turns without cutting the corner or swinging over the other side.'],
    ['Q', 'arrival-order', 'Order of arrival', 'At an all-way stop goes in turn, and yields where the rule says so.'],
  ]),
  category('R', 'roundabouts', 'Roundabouts', [
    ['A', 'approach', 'Approach speed', 'Comes up at a speed from which merging and stopping are both easy.'],
    ['G', 'giving-way', 'Looking and giving way', 'Sees what is on the roundabout and goes when there is a gap.'],
    ['L', 'lane', 'Lane', 'Takes and holds the right lane in and round.'],
    ['S', 'signal', 'Signal', 'Signals in, round and out so that others can tell the exit.'],
    ['E', 'exit', 'Leaving', 'Mirrors, lane and line on the way out.'],
  ]),
  category('L', 'signs', 'Signs and lights', [
    ['L', 'lights', 'Traffic lights', 'Acts on red, green and arrows, and does not sleep through a phase.'],
    ['A', 'amber', 'Amber', 'Stops for amber where that is safe, and goes on where stopping is not.'],
    ['N', 'signs', 'Signs', 'Sees and follows signs that forbid, order and warn.'],
    ['M', 'markings', 'Road markings', 'Follows lines, arrows, hatching and box markings.'],
    ['O', 'controllers', 'People in control', 'Follows police, wardens, crossing patrols and road workers.'],
    ['R', 'railway', 'Railway crossings', 'Approaches ready to stop and never waits on the rails.'],
  ]),
  category('X', 'crossings', 'Crossings', [
    ['A', 'approach', 'Approach', 'Comes up looking for people, ready to stop.'],
    ['P', 'precedence', 'Giving precedence', 'Lets people cross who are crossing or about to.'],
    ['W', 'blocking', 'Keeping it clear', 'Does not stop on a crossing or wave people over.'],
    ['S', 'side-road', 'People at a side road', 'Waits for people crossing the road that is being turned into.'],
  ]),
] as const;
