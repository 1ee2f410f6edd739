import type { Proposal } from '@jasperwren/core/adviser/advise';
import { t as reasons } from '../adviser-reasons';
import { capital } from '../lists';
import { wordsOf } from '../words';

export const resource = {
  suggested: '{{grade}}: {{because}}.',
  orElse: '{{suggested}} Or {{grade}}.',
  noFault: 'no fault',
} as const;

const t = wordsOf('proposal', resource);

/** A suggested grade with its reasons: "Serious fault: the instructor had to take control. Or driving fault." */
export function proposalSentence({ grade, orGrade, because }: Proposal): string {
  const suggested = t('suggested', {
    grade: capital(grade?.name ?? t('noFault')),
    because: because.map((reason) => reasons(reason)).join('; '),
  });
  return orGrade ? t('orElse', { suggested, grade: orGrade.name }) : suggested;
}
