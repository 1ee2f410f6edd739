import type { MeasuredConflict } from '@jasperwren/core/marking/counting';
import type { Reason } from '@jasperwren/core/marking/reason';
import { countsMarks, rulesOf } from '@jasperwren/core/marking/rules';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { isNotJudged, testHeadroom, type Headroom, type Verdict } from '@jasperwren/core/marking/verdict';
import { capital, joinWords } from '../lists';
import { wordsOf } from '../words';
import { describeStop, missingWords } from './missing';
import { amountOf, countMarks, countOfGrade, itemName, limitName, scopeName, secondsWords } from './names';

export const resource = {
  fail: 'Fail: {{why}}.',
  pass: 'Pass: {{detail}}.',
  noResult: 'No result yet: {{missing}}.',
  noFaults: 'no faults',
  ofAllowed: '{{n}} of {{amount}}',
  points: '{{left}} of {{start}} points ({{needed}} needed)',
  pointsNeeded: '{{left}} points ({{needed}} needed)',
  over: '{{amount}} ({{limit}} allowed)',
  overTime: 'over the time limit ({{amount}} of {{limit}})',
  in: '{{amount}} in {{where}}',
  noneAllowed: '{{what}}. None allowed.',
  allowed: '{{what}}. {{limit}} allowed.',
  of: '{{what}} ({{limit}})',
  measurementCounts:
    '{{fault}}: {{value}} {{unit}} means {{byValue}} in this standard, but you gave {{given}}. The measurement counts.',
  gradeCounts:
    '{{fault}}: {{value}} {{unit}} means {{byValue}} in this standard, but you gave {{given}}. Your grade counts.',
  noFault: 'no fault',
} as const;

const t = wordsOf('verdict', resource);

/** The result in a sentence: "Pass: 10 of 15 driving faults." */
export function verdictSentence(standard: EffectiveStandard, verdict: Verdict): string {
  const detail = verdictDetail(standard, verdict);
  switch (verdict.outcome) {
    case 'fail':
      return t('fail', { why: detail });
    case 'pass':
      return t('pass', { detail });
    case 'incomplete':
      return isNotJudged(verdict) ? `${capital(detail)}.` : t('noResult', { missing: detail });
  }
}

/** What the result rests on, to stand beside its word: "1 serious fault". */
export function verdictDetail(standard: EffectiveStandard, verdict: Verdict): string {
  switch (verdict.outcome) {
    case 'fail':
      return joinWords([
        ...verdict.stops.map(describeStop),
        ...verdict.reasons.map((reason) => reasonDetail(standard, reason)),
      ]);
    case 'pass':
      return passDetail(standard, verdict);
    case 'incomplete':
      return joinWords(missingWords(verdict.missing));
  }
}

function passDetail(standard: EffectiveStandard, verdict: Verdict): string {
  const tightest = testHeadroom(verdict).find(({ allowed, limit }) => allowed > 0 && countsMarks(limit.measure));
  if (!tightest || tightest.used === 0) return t('noFaults');
  const { limit, used, allowed } = tightest;
  const score = standard.startScore;
  if (score && limit.measure.kind === 'points')
    return t('points', { left: score.value - used, start: score.value, needed: score.value - allowed });
  return t('ofAllowed', { n: used, amount: amountIn(standard, tightest, allowed) });
}

/** "5 driving faults", "12 points", "95 s": so much of what a limit adds up, with its unit. */
function amountIn(standard: EffectiveStandard, { limit }: Pick<Headroom, 'limit'>, n: number): string {
  const { measure } = limit;
  const [grade, ...more] = measure.kind === 'count' ? measure.grades : [];
  return grade !== undefined && more.length === 0 ? countOfGrade(standard, grade, n) : amountOf(measure, n);
}

/** What crossed a limit, as a phrase: "16 driving faults (15 allowed)". */
function reasonDetail(standard: EffectiveStandard, reason: Reason): string {
  const { measure, allowed } = reason.limit;
  const limit = allowed.value;
  if (measure.kind === 'time' && reason.scope === undefined)
    return t('overTime', { amount: secondsWords(reason.used), limit: secondsWords(limit) });
  const score = standard.startScore;
  if (score && measure.kind === 'points' && reason.scope === undefined)
    return t('pointsNeeded', { left: score.value - reason.used, needed: score.value - limit });
  const amount = usedOf(standard, reason);
  const place =
    reason.scope === undefined || measure.kind === 'count'
      ? amount
      : t('in', { amount, where: scopeName(standard, reason).toLowerCase() });
  return limit === 0 ? place : t('over', { amount: place, limit });
}

const usedOf = (standard: EffectiveStandard, reason: Reason): string =>
  reason.limit.measure.kind === 'count' ? countMarks(standard, reason.marks) : amountIn(standard, reason, reason.used);

/** Why a test or an exercise failed on a limit, in sentences: "1 serious fault. None allowed." */
export function reasonSentence(standard: EffectiveStandard, reason: Reason): string {
  const { measure, allowed } = reason.limit;
  const amount = usedOf(standard, reason);
  const what = reason.scope === undefined ? amount : t('of', { what: amount, limit: limitName(standard, reason) });
  if (allowed.value === 0) return t('noneAllowed', { what });
  return t('allowed', { what, limit: measure.kind === 'time' ? secondsWords(allowed.value) : allowed.value });
}

/** What decided it: the fault, or the limit on time, attempts and the like. */
export function crossingWords(standard: EffectiveStandard, reason: Reason): string {
  return reason.crossedBy ? itemName(standard, reason.crossedBy.item) : limitName(standard, reason);
}

/** A measured value and a grade that contradict each other, and which of them counts. */
export function conflictSentence(standard: EffectiveStandard, { mark, byValue, counts }: MeasuredConflict): string {
  const { items, grades } = rulesOf(standard);
  const name = (code: string) => grades.get(code)?.name ?? code;
  return t(counts === 'value' ? 'measurementCounts' : 'gradeCounts', {
    fault: itemName(standard, mark.item),
    value: mark.measured ?? '',
    unit: items.get(mark.item)?.item.measured?.unit ?? '',
    byValue: byValue === undefined ? t('noFault') : name(byValue),
    given: name(mark.grade),
  });
}
