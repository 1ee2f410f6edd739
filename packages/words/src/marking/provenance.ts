import type { Provenance, Sourced } from '@jasperwren/core/marking/provenance';
import { wordsOf } from '../words';

export const resource = {
  published: 'Published',
  'common practice': 'Common practice',
  'from memory': 'From memory (unverified)',
  'house default': 'Jasperwren default',
  'set by the school': 'Set by your school',
  withSource: '{{kind}}: {{source}}',
  number: '{{value}} ({{origin}})',
} as const;

const t = wordsOf('provenance', resource);

/** In standards of earlier versions a school’s own numbers are defaults with this as their reason. */
const earlierReason = 'Set by the school.';

/** Where a number comes from: "Common practice: …". */
export function provenanceWords({ kind, source }: Provenance): string {
  if (kind === 'house default' && source === earlierReason) return t('set by the school');
  return source ? t('withSource', { kind: t(kind), source }) : t(kind);
}

/** A number with where it comes from: "2 (Set by your school)". */
export function sourcedWords({ value, provenance }: Sourced): string {
  return t('number', { value, origin: provenanceWords(provenance) });
}
