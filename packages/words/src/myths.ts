import { wordsOf } from './words';

/** What learners wrongly believe, and what holds instead. */
export const resource = {
  'wrong-turn.belief': 'A wrong turn fails the test.',
  'wrong-turn.instead': 'Going the wrong way safely costs nothing; forcing the right way at the last moment does.',
  'stall-fails.belief': 'Stalling fails the test.',
  'stall-fails.instead':
    'A stall that is put right calmly, with the checks done again, weighs little; where it holds others up it weighs more.',
  'correction.belief': 'Pulling forward to correct a reverse is a fail.',
  'correction.instead': 'It is allowed. What counts is the look round before the car moves the other way.',
  'signal-always.belief': 'Every move needs a signal.',
  'signal-always.instead': 'A signal is for someone. Look first; where no one could use it, none is needed.',
  'signal-nobody.belief': 'With no one about, no signal is needed.',
  'signal-nobody.instead': 'Under this standard every move is signalled, seen or not.',
  'mirrors-enough.belief': 'Good mirrors make the blind-spot check unnecessary.',
  'mirrors-enough.instead': 'No mirror shows the blind spot next to the car. It can hide a cyclist.',
  'nod.belief': 'The examiner only has to see my head move.',
  'nod.instead': 'What counts is acting on what you saw: wait, hold back, change your plan.',
  'slow-is-safe.belief': 'Slow is always safe.',
  'slow-is-safe.instead':
    'Driving far below what the road allows, or waiting for gaps that are large enough, provokes others into risks.',
  'stop-count.belief': 'At a stop line one has to count to three.',
  'stop-count.instead': 'Under this standard: stop completely, and stay until you have looked both ways.',
  'amber.belief': 'Amber always means stop.',
  'amber.instead': 'It means stop if that can be done safely. Past that point, going on is right.',
  'handbrake.belief': 'Every stop needs the parking brake.',
  'handbrake.instead': 'It helps where the car could roll or the wait is long; a brief stop does not need it.',
  'gear-ladder.belief': 'Gears have to be changed down one by one.',
  'gear-ladder.instead': 'The right gear for the speed is what counts; skipping one is fine.',
  'crossed-hands.belief': 'Hands that cross on the wheel are a fault.',
  'crossed-hands.instead': 'Smooth and in control is what is watched, not the path of the hands.',
  'waving.belief': 'Waving people across is polite.',
  'waving.instead': 'No one can vouch for the other traffic. Stop, wait, and let them decide.',
  'mirror-reverse.belief': 'Reversing by camera or mirrors is enough.',
  'mirror-reverse.instead': 'Under this standard: look through the rear window for most of the reverse.',
} as const;

export const t = wordsOf('myths', resource);
