import { standingMarks, type Drive } from '../drive/drive';
import { isChosen } from '../marking/options';
import { rulesOf } from '../marking/rules';
import type { EffectiveStandard } from '../marking/standard';

/** Something learners wrongly believe, put right in plain words. All of it is common practice. */
export interface Myth {
  readonly code: string;
  readonly belief: string;
  readonly instead: string;
  /** Behaviours of the catalogue to which it belongs. */
  readonly behaviours: readonly string[];
  /** Only under standards that have settled an option so. */
  readonly where?: readonly [option: string, choice: string];
}

export const myths: readonly Myth[] = [
  {
    code: 'wrong-turn',
    belief: 'A wrong turn fails the test.',
    instead: 'Going the wrong way safely costs nothing; forcing the right way at the last moment does.',
    behaviours: ['awareness.directions', 'position.lane-change', 'roundabouts.exit'],
  },
  {
    code: 'stall-fails',
    belief: 'Stalling fails the test.',
    instead:
      'A stall that is put right calmly, with the checks done again, weighs little; where it holds others up it weighs more.',
    behaviours: ['controls.stalled', 'yard.stalled'],
  },
  {
    code: 'correction',
    belief: 'Pulling forward to correct a reverse is a fail.',
    instead: 'It is allowed. What counts is the look round before the car moves the other way.',
    behaviours: ['reversing.accuracy', 'reversing.shunt'],
  },
  {
    code: 'signal-always',
    belief: 'Every move needs a signal.',
    instead: 'A signal is for someone. Look first; where no one could use it, none is needed.',
    behaviours: ['signals.missed', 'signals.needless', 'moving-off.signal'],
    where: ['signal-need', 'not-needed'],
  },
  {
    code: 'signal-nobody',
    belief: 'With no one about, no signal is needed.',
    instead: 'Under this standard every move is signalled, seen or not.',
    behaviours: ['signals.missed', 'moving-off.signal'],
    where: ['signal-need', 'always'],
  },
  {
    code: 'mirrors-enough',
    belief: 'Good mirrors make the blind-spot check unnecessary.',
    instead: 'Beside the car is a stretch that no mirror shows. A cyclist fits into it.',
    behaviours: ['moving-off.blind-spot', 'mirrors.blind-spot'],
  },
  {
    code: 'nod',
    belief: 'Moving the head for show is what counts.',
    instead: 'What counts is what is done with what was seen: waiting, holding back, changing the plan.',
    behaviours: ['moving-off.observation', 'mirrors.before-direction', 'junctions.observation'],
  },
  {
    code: 'slow-is-safe',
    belief: 'Slow is always safe.',
    instead:
      'Driving far below what the road allows, or waiting for gaps that are large enough, provokes others into risks.',
    behaviours: ['speed.slow', 'speed.hesitation'],
  },
  {
    code: 'stop-count',
    belief: 'At a stop line one has to count to three.',
    instead: 'Under this standard the wheels have to stand still; how long is up to what there is to see.',
    behaviours: ['junctions.stop-line'],
    where: ['stop-hold', 'full-stop'],
  },
  {
    code: 'amber',
    belief: 'Amber always means stop.',
    instead: 'It means stop if that can be done safely. Past that point, going on is right.',
    behaviours: ['signs.amber', 'signs.lights'],
  },
  {
    code: 'handbrake',
    belief: 'Every stop needs the parking brake.',
    instead: 'It helps where the car could roll or the wait is long; a brief stop does not need it.',
    behaviours: ['controls.parking-brake', 'stopping.securing'],
    where: ['handbrake-stops', 'helps'],
  },
  {
    code: 'gear-ladder',
    belief: 'Gears have to be changed down one by one.',
    instead: 'The right gear for the speed is what counts; skipping one is fine.',
    behaviours: ['controls.gears'],
    where: ['control-form', 'ignored'],
  },
  {
    code: 'crossed-hands',
    belief: 'Hands that cross on the wheel are a fault.',
    instead: 'Smooth and in control is what is watched, not the path of the hands.',
    behaviours: ['controls.steering'],
  },
  {
    code: 'waving',
    belief: 'Waving people across is polite.',
    instead: 'No one can vouch for the other traffic. Stop, wait, and let them decide.',
    behaviours: ['crossings.precedence', 'crossings.blocking', 'crossings.side-road'],
  },
  {
    code: 'mirror-reverse',
    belief: 'Reversing by camera or mirrors is enough.',
    instead: 'Under this standard the head is turned for most of the way back.',
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
