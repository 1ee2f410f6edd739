import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { metresPerYard } from '@jasperwren/roads/units';
import { joinWords } from '../lists';
import { wordsOf } from '../words';

export const resource = {
  length: 'This is a mock test of about {{minutes}} minutes. I’ll give directions and step in only for safety.',
  left: 'Keep to the left and follow the road ahead unless signs or I say otherwise. I’ll ask for a turn in good time.',
  right:
    'Keep to the right and follow the road ahead unless signs or I say otherwise. I’ll ask for a turn in good time.',
  miles: 'Speed limits here are in miles per hour.',
  kilometres: 'Speed limits here are in kilometres per hour.',
  wrongTurn: 'A wrong turn is not a fault if you make it safely.',
  independent:
    'For about {{minutes}} minutes you’ll drive independently, by signs or the sat-nav. Ask me again if you are not sure.',
  show: 'On the way I’ll ask you to use a control. Take your time and do it when it is safe.',
  emergency:
    'If I raise my hand and say “stop”, stop as in an emergency. I’ll check behind first. Nothing else I say means that.',
  exercises: 'I may ask for these exercises: {{exercises}}.',
  notes: 'I may write notes; don’t read anything into that. If something goes wrong, put it behind you and drive on.',
  questions: 'Do you have any questions?',
  metres: '{{metres}} m',
  metresAndYards: '{{metres}} m ({{yards}} yd)',
} as const;

const t = wordsOf('script', resource);

/**
 * What to say to the learner before moving off, a sentence or two at a time, by the traffic side, the units and
 * the contents of the standard. In the instructor's voice.
 */
export function openingWords(standard: EffectiveStandard): readonly string[] {
  const { trafficSide, units, length, exercises, questions } = standard;
  const brakes = exercises.some(({ code }) => code === 'emergency-stop' || code === 'brake');
  return [
    t('length', { minutes: length.totalMin.value }),
    ...(onTheRoad(standard)
      ? [`${t(trafficSide)} ${t(units === 'imperial' ? 'miles' : 'kilometres')}`, t('wrongTurn')]
      : []),
    ...(length.independentMin ? [t('independent', { minutes: length.independentMin.value })] : []),
    ...(questions.some(({ kind }) => kind === 'show') ? [t('show')] : []),
    ...(brakes ? [t('emergency')] : []),
    ...(exercises.length > 0
      ? [t('exercises', { exercises: joinWords(exercises.map(({ name }) => name.toLowerCase())) })]
      : []),
    t('notes'),
    t('questions'),
  ];
}

/** Whether any of it is driven among traffic rather than in a yard. */
function onTheRoad({ categories }: EffectiveStandard): boolean {
  return categories.some(({ items }) => items.some(({ behaviour }) => behaviour.startsWith('junctions.')));
}

/** A distance in metres, with yards where the place uses them: "20 m (21.9 yd)". */
export function distanceWords({ units }: EffectiveStandard, distanceM: number): string {
  return units === 'imperial'
    ? t('metresAndYards', { metres: distanceM, yards: (distanceM / metresPerYard).toFixed(1) })
    : t('metres', { metres: distanceM });
}
