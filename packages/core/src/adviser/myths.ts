import { standingMarks, type Drive, type Mark } from '../drive/drive';
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
  /** By behaviour, the answers to what happened that show it: for those, no other answer and none at all does. */
  readonly answers?: Readonly<Record<string, readonly string[]>>;
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
    answers: { 'junctions.stop-line': ['brief'] },
  },
  {
    code: 'amber',
    behaviours: ['signs.amber'],
    answers: { 'signs.amber': ['hard'] },
  },
  {
    code: 'handbrake',
    behaviours: ['controls.parking-brake', 'stopping.securing'],
    where: ['handbrake-stops', 'helps'],
    answers: { 'controls.parking-brake': ['unset'] },
  },
  {
    code: 'gear-ladder',
    behaviours: ['controls.gears'],
    where: ['control-form', 'ignored'],
    answers: { 'controls.gears': ['skipped'] },
  },
  {
    code: 'crossed-hands',
    behaviours: ['controls.steering'],
    answers: { 'controls.steering': ['hands'] },
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

/** The myths worth a word after a mark: those tied to what happened, as the standard has settled it. */
export function mythsOfMark(
  standard: EffectiveStandard,
  { item, advice }: Pick<Mark, 'item' | 'advice'>,
): readonly Myth[] {
  const behaviour = rulesOf(standard).items.get(item)?.item.behaviour ?? '';
  return myths.filter(({ behaviours, where, answers }) => {
    const told = answers?.[behaviour];
    return (
      behaviours.includes(behaviour) &&
      (!where || isChosen(standard, where[0], where[1])) &&
      (!told || told.includes(advice?.answers['which'] ?? ''))
    );
  });
}

/** The myths worth a word after this drive, each once. */
export function mythsFor(standard: EffectiveStandard, drive: Drive): readonly Myth[] {
  const shown = new Set(standingMarks(drive).flatMap((mark) => mythsOfMark(standard, mark)));
  return myths.filter((myth) => shown.has(myth));
}
