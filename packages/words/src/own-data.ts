import type { Outcome } from '@jasperwren/core/marking/verdict';
import { wordsOf } from './words';

export const resource = {
  kept: 'What is kept about {{name}}',
  madeOn:
    'Made on {{date}}. Everything in full is in everything.json, each mock test as a table in drives. Spreadsheets open the tables.',
  person: 'Person',
  mockTests: 'Mock tests',
  licenceTests: 'Licence tests',
  howMuch: 'How much is kept',
  nothing: 'Nothing.',
  mockTest: '{{standard}}, version {{version}}, with {{instructor}}: {{outcome}}.',
  licenceTest: '{{standard}}: {{outcome}}.',
  pass: 'pass',
  fail: 'fail',
  incomplete: 'no result',
} as const;

export const t = wordsOf('own-data', resource);

/** A mock test in a line. */
export const mockTestLine = (
  standard: { readonly name: string; readonly version: number },
  outcome: Outcome,
  instructor: string,
): string => t('mockTest', { standard: standard.name, version: standard.version, instructor, outcome: t(outcome) });

/** A licence test in a line, with what was noted of it. */
export const licenceTestLine = (standard: string, official: 'pass' | 'fail', notes: string | undefined): string =>
  [t('licenceTest', { standard, outcome: t(official) }), notes].filter(Boolean).join(' ');
