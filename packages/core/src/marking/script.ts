import type { EffectiveStandard } from './standard';
import { joinWords } from './wording';

/**
 * What to say to the learner before moving off, a sentence or two at a time, by the traffic side, the units and
 * the contents of the standard. In the instructor's voice.
 */
export function openingWords(standard: EffectiveStandard): readonly string[] {
  const { trafficSide, units, length, exercises, questions } = standard;
  const onRoad = onTheRoad(standard);
  const said: string[] = [
    `This is a mock test of about ${length.totalMin.value} minutes. I say where to go and nothing else; I step in if it is needed.`,
  ];
  if (onRoad) {
    said.push(
      `Keep to the ${trafficSide} and follow the road unless signs or I say otherwise. I will ask for a turn in good time. Limits here are in ${units === 'imperial' ? 'miles' : 'kilometres'} per hour.`,
    );
    said.push('If you take another way than I asked for, drive on safely: the way is not what I watch.');
  }
  if (length.independentMin) {
    said.push(
      `For some ${length.independentMin.value} minutes you find the way yourself, by signs or by the sat-nav. Ask me again whenever you are not sure.`,
    );
  }
  if (questions.some(({ kind }) => kind === 'show')) {
    said.push('Once, on the move, I will ask you to work a control. Take your time and do it when it is safe.');
  }
  if (exercises.some(({ code }) => code === 'emergency-stop' || code === 'brake')) {
    said.push(
      'If I raise my hand and say “stop”, stop the car as in an emergency. I look behind first. Nothing else I say asks for that.',
    );
  }
  if (exercises.length > 0) {
    said.push(`There may be set exercises: ${joinWords(exercises.map(({ name }) => name.toLowerCase()))}.`);
  }
  said.push('I may write at any time; it may be nothing. If something goes wrong, put it behind you and drive on.');
  said.push('Is there anything you would like to ask?');
  return said;
}

/** Whether any of it is driven among traffic rather than in a yard. */
function onTheRoad({ categories }: EffectiveStandard): boolean {
  return categories.some(({ items }) => items.some(({ behaviour }) => behaviour.startsWith('junctions.')));
}

const yardPerM = 1 / 0.9144;

/** A distance in metres, with yards where the place uses them: "20 m (22 yd)". */
export function distanceWords({ units }: EffectiveStandard, distanceM: number): string {
  return units === 'imperial' ? `${distanceM} m (${(distanceM * yardPerM).toFixed(1)} yd)` : `${distanceM} m`;
}
