import { resultDetail } from '@jasperwren/core/marking/result-detail';
import { rulesOf } from '@jasperwren/core/marking/rules';
import type { EffectiveStandard, LimitEffect } from '@jasperwren/core/marking/standard';
import type { Headroom, Verdict } from '@jasperwren/core/marking/verdict';
import { wordsOf } from '../words';
import { markedWords } from './detail';
import { limitName } from './names';
import { verdictSentence } from './verdict';

export const resource = {
  left: '{{limit}}: {{left}} of {{allowed}} left.',
  noneLeft: '{{limit}}: none left of {{allowed}}.',
  over: '{{limit}}: {{used}}, {{allowed}} allowed. {{effect}}',
  noneAllowed: '{{limit}}: none allowed. {{effect}}',
  soFar: 'So far: would pass, {{marked}}.',
  wouldPass: 'So far: would pass',
  'fail-test': 'Fails the test.',
  'fail-exercise': 'Fails the exercise.',
  'fail-attempt': 'Fails the attempt.',
  upgrade: 'Counts as {{grade}}.',
  free: 'Counts for nothing here.',
} as const;

const t = wordsOf('room', resource);

/** What is left of a limit, or what came of crossing it: "Missed observation checks: 3, 2 allowed. Fails the test." */
export function roomSentence(standard: EffectiveStandard, room: Headroom): string {
  const { used, allowed, left } = room;
  const limit = limitName(standard, room);
  if (left > 0) return t('left', { limit, left, allowed });
  if (left === 0) return t('noneLeft', { limit, allowed });
  const effect = effectWords(standard, room.limit.effect);
  return allowed === 0 ? t('noneAllowed', { limit, effect }) : t('over', { limit, used, allowed, effect });
}

/** That a mark draws on nothing. */
export const freeSentence = (): string => t('free');

function effectWords(standard: EffectiveStandard, effect: LimitEffect): string {
  if (effect.kind === 'ask-upgrade') return '';
  if (effect.kind !== 'upgrade') return t(effect.kind);
  return t('upgrade', { grade: rulesOf(standard).grades.get(effect.grade)?.name ?? effect.grade });
}

/** The same at a glance, where the limits stand beside it. */
export function soFarGlance(standard: EffectiveStandard, verdict: Verdict): string | undefined {
  const detail = resultDetail(standard, verdict);
  return detail.outcome === 'incomplete' && detail.soFar ? t('wouldPass') : soFarSentence(standard, verdict);
}

/** How the drive stands while it lasts, or what is missing is still to come; undefined before the car has moved. */
export function soFarSentence(standard: EffectiveStandard, verdict: Verdict): string | undefined {
  const detail = resultDetail(standard, verdict);
  if (detail.outcome !== 'incomplete') return verdictSentence(standard, verdict);
  return detail.soFar && t('soFar', { marked: markedWords(detail.soFar) });
}
