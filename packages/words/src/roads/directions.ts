import type { Call, CallStyle } from '@jasperwren/roads/directions/calls';
import type { Decision } from '@jasperwren/roads/directions/decisions';
import type { Lanes } from '@jasperwren/roads/directions/lanes';
import { capital } from '../lists';
import { wordsOf } from '../words';
import { aheadWords, type Units } from './distances';

export const resource = {
  turnLeft: 'turn left',
  turnRight: 'turn right',
  atEndOfRoadLeft: 'at the end of the road, turn left',
  atEndOfRoadRight: 'at the end of the road, turn right',
  atLightsLeft: 'at the traffic lights, turn left',
  atLightsRight: 'at the traffic lights, turn right',
  atCrossroadsLeft: 'at the crossroads, turn left',
  atCrossroadsRight: 'at the crossroads, turn right',
  nthLeft: 'take the {{nth}} road on the left',
  nthRight: 'take the {{nth}} road on the right',
  bearLeft: 'bear left',
  bearRight: 'bear right',
  slipLeft: 'take the slip road on the left',
  slipRight: 'take the slip road on the right',
  roundabout: 'at the roundabout, take the {{nth}} exit',
  roundaboutAhead: 'at the roundabout, go straight ahead, {{nth}} exit',
  roundaboutLeft: 'at the roundabout, turn left, {{nth}} exit',
  roundaboutRight: 'at the roundabout, turn right, {{nth}} exit',
  mini: 'at the mini roundabout, take the {{nth}} exit',
  miniAhead: 'at the mini roundabout, go straight ahead, {{nth}} exit',
  miniLeft: 'at the mini roundabout, turn left, {{nth}} exit',
  miniRight: 'at the mini roundabout, turn right, {{nth}} exit',
  takeTheExit: 'take the exit',
  turnRound: 'turn round when it is safe',
  then: '{{first}}, then {{second}}',
  toward: '{{call}}, signed {{toward}}',
  inDistance: 'in {{distance}}, {{call}}',
  leftLane: 'use the left-hand lane',
  rightLane: 'use the right-hand lane',
  middleLane: 'use the middle lane',
  leftLanes: 'use one of the {{count}} left-hand lanes',
  rightLanes: 'use one of the {{count}} right-hand lanes',
  laneFromLeft: 'use the {{nth}} lane from the left',
  withLane: '{{call}}; {{lane}}',
} as const;

const t = wordsOf('directions', resource);

const ordinals = ['first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth'];

/** "first", "second"; from the tenth on in figures. */
export const ordinal = (nth: number): string => ordinals[nth - 1] ?? `${nth}th`;

/** What to say at a call: "At the roundabout, take the second exit." A device says how far it is too. */
export function callSentence(call: Call, { speaker }: Pick<CallStyle, 'speaker'>, units: Units): string {
  const { decision, then, nth, again, distance } = call;
  if (again === 'exit') return sentence(t('takeTheExit'));
  const first = decisionWords(decision, nth);
  const both = then ? t('then', { first, second: decisionWords(then, 1) }) : first;
  const signed = decision.toward === undefined || then ? both : t('toward', { call: both, toward: decision.toward });
  const said =
    speaker === 'device' && again === undefined && distance > 40
      ? t('inDistance', { distance: aheadWords(distance, units), call: signed })
      : signed;
  const lane = decision.lanes && laneWords(decision.lanes);
  return sentence(lane !== undefined && again === undefined ? t('withLane', { call: said, lane }) : said);
}

const sentence = (words: string) => `${capital(words)}.`;

/** What to do at a junction, in the middle of a sentence; `nth` is which turning it is from where that is said. */
export function decisionWords(decision: Decision, nth = 1): string {
  switch (decision.kind) {
    case 'turn':
      return turnWords(decision, nth);
    case 'bear':
      return t(decision.turn === 'left' ? 'bearLeft' : 'bearRight');
    case 'slip':
      return t(decision.turn === 'left' ? 'slipLeft' : 'slipRight');
    case 'turn-round':
      return t('turnRound');
    case 'roundabout':
      return exitWords(decision.turn, ordinal(decision.exit), [
        'roundabout',
        'roundaboutAhead',
        'roundaboutLeft',
        'roundaboutRight',
      ]);
    case 'mini':
      return exitWords(decision.turn, ordinal(decision.exit), ['mini', 'miniAhead', 'miniLeft', 'miniRight']);
  }
}

function turnWords({ turn, at }: Extract<Decision, { kind: 'turn' }>, nth: number): string {
  const left = turn === 'left';
  if (at === 'signals') return t(left ? 'atLightsLeft' : 'atLightsRight');
  if (at === 'end-of-road') return t(left ? 'atEndOfRoadLeft' : 'atEndOfRoadRight');
  if (nth > 1) return t(left ? 'nthLeft' : 'nthRight', { nth: ordinal(nth) });
  if (at === 'crossroads') return t(left ? 'atCrossroadsLeft' : 'atCrossroadsRight');
  return t(left ? 'turnLeft' : 'turnRight');
}

type ExitKey = 'roundabout' | 'mini';
type ExitKeys = readonly [ExitKey, `${ExitKey}Ahead`, `${ExitKey}Left`, `${ExitKey}Right`];

function exitWords(
  turn: 'left' | 'ahead' | 'right' | 'back',
  nth: string,
  [plain, ahead, left, right]: ExitKeys,
): string {
  const key = { back: plain, ahead, left, right }[turn];
  return t(key, { nth });
}

function laneWords({ use, of }: Lanes): string {
  const [first = 1] = use;
  const last = use.at(-1)!;
  if (use.length > 1 && last - first + 1 === use.length) {
    if (first === 1) return t('leftLanes', { count: use.length });
    if (last === of) return t('rightLanes', { count: use.length });
  }
  if (first === 1) return t('leftLane');
  if (last === of) return t('rightLane');
  return of === 3 ? t('middleLane') : t('laneFromLeft', { nth: ordinal(first) });
}
