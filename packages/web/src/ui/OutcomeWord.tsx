import { t } from '@jasperwren/words/common';
import type { Outcome } from '@jasperwren/core/marking/verdict';

const words: Readonly<Record<Outcome, string>> = { pass: 'pass', fail: 'fail', incomplete: t('noVerdict') };
const colours: Readonly<Record<Outcome, string>> = {
  pass: 'var(--moss)',
  fail: 'var(--jasper)',
  incomplete: 'var(--slate)',
};

/** The outcome of a drive as a word in its colour. */
export function OutcomeWord({ outcome }: { readonly outcome: Outcome }) {
  return <strong style={{ color: colours[outcome] }}>{words[outcome]}</strong>;
}
