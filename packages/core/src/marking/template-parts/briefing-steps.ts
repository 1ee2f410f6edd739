import { fromMemory } from '../provenance';
import type { Category, EndingRule } from '../standard';
import type { BriefingPart, BriefingStep } from '../briefing';

const plateRule =
  'Motor Vehicles (Driving Licences) Regulations 1999 (Great Britain), schedule 8; common practice agrees';

/** Papers that have to be there before anything else. */
export const documents: BriefingStep = {
  kind: 'confirm',
  code: 'documents',
  name: 'Documents',
  task: 'Provisional licence or permit, theory certificate, photo identity, signed declaration, insurance for this car.',
};

/** Who else is in the car, and who may hear how it went. */
export const riders: BriefingStep = {
  kind: 'confirm',
  code: 'riders',
  name: 'Passengers',
  task: 'Say who sits in the back and agree who hears the result.',
};

export const eyesight: BriefingStep = {
  kind: 'eyesight',
  code: 'eyesight',
  name: 'Eyesight',
  task: 'Have a number plate of a parked car read aloud, with glasses or lenses if they are worn to drive.',
  distanceM: fromMemory(20, plateRule),
  widePlateM: fromMemory(20.5, plateRule),
};

/** Where a yard numbers the places at which cars stand. */
export const bayNumber: BriefingStep = {
  kind: 'confirm',
  code: 'bay-number',
  name: 'Bay number',
  task: 'Read out the number of the bay in which the car stands.',
};

const parts = (names: readonly string[]): readonly BriefingPart[] => names.map((name) => ({ name }));

/** Glasses or lenses that the licence asks for. */
export const glasses: BriefingStep = {
  kind: 'confirm',
  code: 'glasses',
  name: 'Glasses',
  task: 'See whether the licence asks for glasses or lenses, and that they are worn.',
};

/** The same as `riders`, where a passenger has to be of an age. */
export const ridersOfAge: BriefingStep = {
  ...riders,
  task: 'Say who sits in the back: 16 or older, where your authority asks for an age. Agree who hears the result.',
};

/** A walk round the car. */
export const outsideCheck: BriefingStep = {
  kind: 'checklist',
  code: 'outside',
  name: 'Walk-round',
  task: 'Walk round and check each; tap what is missing or broken.',
  parts: parts([
    'Plates and insurance valid',
    'Indicators, front and rear',
    'Brake lamps',
    'Head and tail lamps',
    'Horn',
    'Mirrors',
    'Steering free',
    'Tyres',
  ]),
};

/** The outside check by call and response, from the kerb and then from behind. */
export const callCheck: BriefingStep = {
  kind: 'calls',
  code: 'calls',
  name: 'Call and show',
  task: 'Stand on the kerb in front, then behind the car; call each and see that it comes.',
  parts: parts([
    'Horn',
    'Right signal',
    'Left signal',
    'From behind: right signal',
    'From behind: left signal',
    'Brake on',
    'Brake off',
  ]),
};

const drill = {
  doors: ['Doors shut, no lamp on', 'set-up.doors'],
  seat: ['Seat: back straight, arms and legs easy', 'set-up.seat'],
  restraint: ['Head restraint', 'set-up.head-restraint'],
  wheel: ['Steering wheel', 'set-up.wheel'],
  belts: ['Belts, the rear seats included', 'set-up.belts'],
  mirrors: ['Mirrors: road in sight, little of the car', 'set-up.mirrors'],
  start: ['Parking brake on, neutral or park, no warning lamp', 'set-up.start'],
} as const;

/** The two orders that are taught (common practice). */
const orders = {
  doors: ['doors', 'seat', 'restraint', 'wheel', 'belts', 'mirrors', 'start'],
  seat: ['seat', 'restraint', 'mirrors', 'belts', 'wheel', 'doors', 'start'],
} as const;

/**
 * The drill in the driving seat: each part marks its item, where the standard has it.
 * @param first which of the two taught orders stands first
 */
export function cockpitDrill(categories: readonly Category[], first: keyof typeof orders): BriefingStep {
  const codes = new Set(categories.flatMap(({ items }) => items.map((item) => item.code)));
  return {
    kind: 'checklist',
    code: 'cockpit',
    name: 'Cockpit drill',
    task: 'In order; tap anything missed.',
    parts: orders[first].map((part): BriefingPart => {
      const [name, item] = drill[part];
      return codes.has(item) ? { name, item } : { name };
    }),
    otherOrder: orders[first === 'doors' ? 'seat' : 'doors'].map((part) => drill[part][0]),
  };
}

/** Questions that are answered before the car moves. */
export function askedAtRest(items: readonly string[], task: string): BriefingStep {
  return { kind: 'questions', code: 'questions', name: 'Tell questions', task, items };
}

const ending = (
  cause: EndingRule['cause'],
  outcome: EndingRule['outcome'],
  kind: EndingRule['provenance']['kind'],
  source: string,
): EndingRule => ({ cause, outcome, provenance: { kind, source } });

/** What breaking off amounts to. */
export const usualEndings: readonly EndingRule[] = [
  ending('safety', 'fail', 'common practice', 'Whoever has to be stopped for safety has not passed.'),
  ending(
    'learner',
    'fail',
    'house default',
    'A test the learner does not finish is not passed; edit it if yours differs.',
  ),
  ending('car', 'incomplete', 'common practice', 'Not the learner’s doing: it is driven again.'),
  ending('conditions', 'incomplete', 'common practice', 'Not the learner’s doing: it is driven again.'),
];
