import type { OralResult } from '@jasperwren/core/safety-questions/oral';
import { wordsOf } from './words';

export const resource = {
  everyPoint: 'Correct: every point.',
  allRequired: 'Correct: all required points.',
  notYet: 'Not correct yet: {{why}}. 1 more try.',
  wrong: 'Wrong: {{why}}.',
  hintGiven: 'a hint was given',
  lacking_one: '{{count}} required point is missing',
  lacking_other: '{{count}} required points are missing',
} as const;

const t = wordsOf('oral', resource);

/** What the tries at a question come to, with the reason. */
export function oralSentence({ outcome, missed, hint, lacking }: OralResult): string {
  if (outcome === 'right') return missed.length === 0 ? t('everyPoint') : t('allRequired');
  const why = hint ? t('hintGiven') : t('lacking', { count: lacking });
  return outcome === 'again' ? t('notYet', { why }) : t('wrong', { why });
}
