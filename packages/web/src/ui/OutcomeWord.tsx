import { t } from '@jasperwren/words/common';
import type { Outcome } from '@jasperwren/core/marking/verdict';

const words: Readonly<Record<Outcome, string>> = { pass: t('pass'), fail: t('fail'), incomplete: t('noResult') };
const colours: Readonly<Record<Outcome, string>> = {
  pass: 'var(--moss)',
  fail: 'var(--jasper)',
  incomplete: 'var(--slate)',
};

/** The outcome of a mock test as a word. */
export const outcomeWord = (outcome: Outcome): string => words[outcome];

/** The outcome of a mock test as a word in its colour. */
export function OutcomeWord({ outcome }: { readonly outcome: Outcome }) {
  return <strong style={{ color: colours[outcome] }}>{words[outcome]}</strong>;
}
