/** What a learner does wherever it is asked for: the same thing at the kerb, at a junction and in reverse. */
export type Competence = 'looking' | 'mirrors' | 'signals' | 'pace' | 'giving-way' | 'line' | 'handling';

/** The behaviours of the catalogue that show each competence (common practice). */
const shownBy: Readonly<Record<Competence, readonly string[]>> = {
  looking: [
    'moving-off.observation',
    'moving-off.blind-spot',
    'mirrors.blind-spot',
    'junctions.observation',
    'stopping.preparing',
    'stopping.doors',
    'reversing.observation',
    'reversing.looking-back',
  ],
  mirrors: ['mirrors.before-signal', 'mirrors.before-direction', 'mirrors.before-speed', 'mirrors.rolling'],
  signals: [
    'moving-off.signal',
    'signals.missed',
    'signals.timing',
    'signals.misleading',
    'signals.cancelling',
    'signals.needless',
    'roundabouts.signal',
  ],
  pace: [
    'speed.limit',
    'speed.conditions',
    'speed.school-zone',
    'junctions.approach',
    'roundabouts.approach',
    'crossings.approach',
    'clearance.following',
  ],
  'giving-way': [
    'moving-off.timing',
    'junctions.giving-way',
    'junctions.stop-line',
    'junctions.arrival-order',
    'roundabouts.giving-way',
    'crossings.precedence',
    'crossings.side-road',
    'meeting.holding-back',
    'meeting.crossing-path',
    'reversing.waiting',
  ],
  line: [
    'position.normal',
    'position.lanes',
    'position.lane-change',
    'position.bends',
    'position.own-side',
    'junctions.turn-across',
    'junctions.turn-near',
    'junctions.cutting',
    'roundabouts.lane',
    'roundabouts.exit',
    'fast-roads.lane',
    'clearance.parked',
    'clearance.vulnerable',
  ],
  handling: [
    'controls.accelerator',
    'controls.clutch',
    'controls.footbrake',
    'controls.gears',
    'controls.parking-brake',
    'controls.steering',
    'controls.stalled',
    'moving-off.control',
    'moving-off.hill',
    'stopping.control',
    'reversing.control',
  ],
};

const byBehaviour = new Map(
  Object.entries(shownBy).flatMap(([competence, codes]) => codes.map((code) => [code, competence as Competence])),
);

/** The competence that a behaviour of the catalogue shows; undefined where it shows something of its own. */
export const competenceOf = (behaviour: string): Competence | undefined => byBehaviour.get(behaviour);
