import type { Crossed, Marked, ResultDetail, Spent } from '@jasperwren/core/marking/result-detail';
import { joinWords } from '../lists';
import { wordsOf } from '../words';
import { amountWords, scopeWords, secondsWords } from './amounts';
import { describeStop, missingWords } from './missing';

export const resource = {
  noFaults: 'no faults',
  ofAllowed: '{{n}} of {{amount}}',
  points: '{{left}} of {{start}} points ({{needed}} needed)',
  pointsNeeded: '{{left}} points ({{needed}} needed)',
  over: '{{amount}} ({{limit}} allowed)',
  overTime: 'over the time limit ({{amount}} of {{limit}})',
  in: '{{amount}} in {{where}}',
  part: '{{amount}} (nearest limit: {{limit}}, {{n}} of {{allowed}})',
  limitIn: '{{limit}} in {{where}}',
  free_one: '{{count}} fault that counts for nothing',
  free_other: '{{count}} faults that count for nothing',
  short: '{{marked}} (short mock test)',
  soFar: '{{missing}}. So far: would pass, {{marked}}',
} as const;

const t = wordsOf('result-detail', resource);

/** What a result rests on, in words: "16 driving faults (15 allowed)". */
export function detailWords(detail: ResultDetail): string {
  switch (detail.outcome) {
    case 'fail':
      return joinWords([...detail.stops.map(describeStop), ...detail.crossed.map(crossedWords)]);
    case 'pass':
      return detail.short ? t('short', { marked: markedWords(detail) }) : markedWords(detail);
    case 'incomplete': {
      const missing = joinWords(missingWords(detail.missing));
      return detail.soFar ? t('soFar', { missing, marked: markedWords(detail.soFar) }) : missing;
    }
  }
}

/** What was marked on the way to a pass: "10 of 15 driving faults and 1 fault that counts for nothing". */
export function markedWords({ spent, free = 0 }: Marked): string {
  if (!spent && free === 0) return t('noFaults');
  return joinWords([...(spent ? [spentWords(spent)] : []), ...(free > 0 ? [t('free', { count: free })] : [])]);
}

function spentWords(spent: Spent): string {
  if (spent.kind === 'part') {
    const { name, where, n, allowed } = spent.nearest;
    const limit = where ? t('limitIn', { limit: name, where: scopeWords(where).toLowerCase() }) : name;
    return t('part', { amount: amountWords(spent.amount), limit: limit.toLowerCase(), n, allowed });
  }
  if (spent.kind === 'score') return t('points', { left: spent.left, start: spent.start, needed: spent.needed });
  return t('ofAllowed', { n: spent.n, amount: amountWords(spent.allowed) });
}

/** What crossed a limit, as a phrase: "16 driving faults (15 allowed)". */
function crossedWords(crossed: Crossed): string {
  switch (crossed.kind) {
    case 'time':
      return t('overTime', { amount: secondsWords(crossed.usedS), limit: secondsWords(crossed.limitS) });
    case 'score':
      return t('pointsNeeded', { left: crossed.left, needed: crossed.needed });
    case 'amount': {
      const { allowed, where } = crossed;
      const amount = amountWords(crossed.amount);
      const place = where ? t('in', { amount, where: scopeWords(where).toLowerCase() }) : amount;
      return allowed === 0 ? place : t('over', { amount: place, limit: allowed });
    }
  }
}
