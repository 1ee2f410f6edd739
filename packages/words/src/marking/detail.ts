import type { Crossed, ResultDetail, Spent } from '@jasperwren/core/marking/result-detail';
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
} as const;

const t = wordsOf('result-detail', resource);

/** What a result rests on, in words: "16 driving faults (15 allowed)". */
export function detailWords(detail: ResultDetail): string {
  switch (detail.outcome) {
    case 'fail':
      return joinWords([...detail.stops.map(describeStop), ...detail.crossed.map(crossedWords)]);
    case 'pass':
      return spentWords(detail.spent);
    case 'incomplete':
      return joinWords(missingWords(detail.missing));
  }
}

function spentWords(spent: Spent | undefined): string {
  if (!spent) return t('noFaults');
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
