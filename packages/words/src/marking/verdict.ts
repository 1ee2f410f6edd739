import { exerciseName } from '@jasperwren/core/marking/exercise';
import type { MeasuredConflict } from '@jasperwren/core/marking/counting';
import type { Reason } from '@jasperwren/core/marking/reason';
import { resultDetail, usedOf } from '@jasperwren/core/marking/result-detail';
import { rulesOf } from '@jasperwren/core/marking/rules';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { isNotJudged, type Verdict } from '@jasperwren/core/marking/verdict';
import { capital } from '../lists';
import { wordsOf } from '../words';
import { amountWords, secondsWords } from './amounts';
import { detailWords } from './detail';
import { itemName, limitName, scopeName } from './names';

export const resource = {
  fail: 'Fail: {{why}}.',
  pass: 'Pass: {{detail}}.',
  noResult: 'No result yet: {{missing}}.',
  noneAllowed: '{{what}}. None allowed.',
  allowed: '{{what}}. {{limit}} allowed.',
  of: '{{what}} ({{limit}})',
  measurementCounts:
    '{{fault}}: {{value}} {{unit}} means {{byValue}} in this standard, but you gave {{given}}. The measurement counts.',
  gradeCounts:
    '{{fault}}: {{value}} {{unit}} means {{byValue}} in this standard, but you gave {{given}}. Your grade counts.',
  noFault: 'no fault',
  attemptFailed: '{{exercise}}: {{why}}',
  saidFailed: 'said by the instructor.',
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
export const verdictDetail = (standard: EffectiveStandard, verdict: Verdict): string =>
  detailWords(resultDetail(standard, verdict));

/** Why a test or an exercise failed on a limit, in sentences: "1 serious fault. None allowed." */
export function reasonSentence(standard: EffectiveStandard, reason: Reason): string {
  const { measure, allowed } = reason.limit;
  const amount = amountWords(usedOf(standard, reason));
  const what = reason.scope === undefined ? amount : t('of', { what: amount, limit: limitName(standard, reason) });
  if (allowed.value === 0) return t('noneAllowed', { what });
  return t('allowed', { what, limit: measure.kind === 'time' ? secondsWords(allowed.value) : allowed.value });
}

/** Every attempt that failed, by a limit or because the instructor said so, in order of their moments. */
export function failedAttemptWords(
  standard: EffectiveStandard,
  { failedAttempts, saidFailed }: Verdict,
): readonly { readonly atMs: number; readonly words: string }[] {
  const byLimit = failedAttempts.map((reason) => ({
    atMs: reason.crossedAtMs,
    words: t('attemptFailed', { exercise: scopeName(standard, reason), why: reasonSentence(standard, reason) }),
  }));
  const said = saidFailed.map(({ exercise, atMs }) => ({
    atMs,
    words: t('attemptFailed', {
      exercise: exerciseName(standard, exercise),
      why: t('saidFailed'),
    }),
  }));
  return [...byLimit, ...said].sort((a, b) => a.atMs - b.atMs);
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
