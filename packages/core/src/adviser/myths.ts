import { standingMarks, type Drive } from '../drive/drive';
import { isChosen } from '../marking/options';
import { rulesOf } from '../marking/rules';
import type { EffectiveStandard } from '../marking/standard';

export type MythCode =
  | 'wrong-turn'
  | 'stall-fails'
  | 'correction'
  | 'signal-always'
  | 'signal-nobody'
  | 'mirrors-enough'
  | 'nod'
  | 'slow-is-safe'
  | 'stop-count'
  | 'amber'
  | 'handbrake'
  | 'gear-ladder'
  | 'crossed-hands'
  | 'waving'
  | 'mirror-reverse';

/** Something learners wrongly believe; what it is and what holds instead stands in the words. All of it is common practice. */
export interface Myth {
  readonly code: MythCode;
  /** Behaviours of the catalogue to which it belongs. */
  readonly behaviours: readonly string[];
  /** Only under standards that have settled an option so. */
  readonly where?: readonly [option: string, choice: string];
}

export const myths: readonly Myth[] = [
  {
    code: 'wrong-turn',
    behaviours: ['awareness.directions', 'position.lane-change', 'roundabouts.exit'],
  },
  {
    code: 'stall-fails',
    behaviours: ['controls.stalled', 'yard.stalled'],
  },
  {
    code: 'correction',
    behaviours: ['reversing.accuracy', 'reversing.shunt'],
  },
  {
    code: 'signal-always',
    behaviours: ['signals.missed', 'signals.needless', 'moving-off.signal'],
    where: ['signal-need', 'not-needed'],
  },
  {
    code: 'signal-nobody',
    behaviours: ['signals.missed', 'moving-off.signal'],
    where: ['signal-need', 'always'],
  },
  {
    code: 'mirrors-enough',
    behaviours: ['moving-off.blind-spot', 'mirrors.blind-spot'],
  },
  {
    code: 'nod',
    behaviours: ['moving-off.observation', 'mirrors.before-direction', 'junctions.observation'],
  },
  {
    code: 'slow-is-safe',
    behaviours: ['speed.slow', 'speed.hesitation'],
  },
  {
    code: 'stop-count',
    behaviours: ['junctions.stop-line'],
    where: ['stop-hold', 'full-stop'],
  },
  {
    code: 'amber',
    behaviours: ['signs.amber', 'signs.lights'],
  },
  {
    code: 'handbrake',
    behaviours: ['controls.parking-brake', 'stopping.securing'],
    where: ['handbrake-stops', 'helps'],
  },
  {
    code: 'gear-ladder',
    behaviours: ['controls.gears'],
    where: ['control-form', 'ignored'],
  },
  {
    code: 'crossed-hands',
    behaviours: ['controls.steering'],
  },
  {
    code: 'waving',
    behaviours: ['crossings.precedence', 'crossings.blocking', 'crossings.side-road'],
  },
  {
    code: 'mirror-reverse',
    behaviours: ['reversing.looking-back', 'reversing.observation'],
    where: ['reverse-look', 'look-back'],
  },
];

/** The myths worth a word after this drive: those tied to what was marked, as the standard has settled it. */
export function mythsFor(standard: EffectiveStandard, drive: Drive): readonly Myth[] {
  const { items } = rulesOf(standard);
  const marked = new Set(standingMarks(drive).map((mark) => items.get(mark.item)?.item.behaviour));
  return myths.filter(
    ({ behaviours, where }) =>
      behaviours.some((behaviour) => marked.has(behaviour)) && (!where || isChosen(standard, where[0], where[1])),
  );
}
