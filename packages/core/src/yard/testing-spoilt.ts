import { pick, randomFrom, shuffled } from '../safety-questions/random';
import type { EffectiveStandard } from '../marking/standard';
import type { Outcome } from '../marking/verdict';
import { judgeRun } from './judge-run';
import { readRunCsv } from './telemetry-csv';
import { unseenWithout } from './unseen';

const flagColumns = ['parking_brake', 'belt', 'door', 'engine', 'line', 'pole', 'tone'];
const rubbish = [
  '#REF!',
  'n/a',
  '-',
  '?',
  '1;0',
  '12 km/h',
  '0x1F',
  'NaN',
  'null',
  '1.2.3',
  '1,2,3',
  '9e99',
  'ja',
  '2',
];

interface Table {
  readonly head: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

const tableOf = (text: string): Table => {
  const [head, ...rows] = text.trim().split(/\r?\n/);
  return { head: head!.split(','), rows: rows.map((row) => row.split(',')) };
};
const textOf = ({ head, rows }: Table, sign = ',') => [head, ...rows].map((row) => row.join(sign)).join('\r\n');
const eachFlag = ({ head, rows }: Table, write: (flag: string) => string): Table => ({
  head,
  rows: rows.map((row) =>
    row.map((field, i) => (flagColumns.includes(head[i]!) && field !== '' ? write(field) : field)),
  ),
});
const withCommas = ({ head, rows }: Table, quote = ''): Table => ({
  head,
  rows: rows.map((row) =>
    row.map((field) => (/^-?\d*\.\d+$/.test(field) ? quote + field.replace('.', ',') + quote : field)),
  ),
});

type Random = () => number;
type Spoil = (table: Table, random: Random) => string;

/** How programs and people spoil a file: what is still said must come out the same, anything else is refused or said. */
export const spoils: Readonly<Record<string, Spoil>> = {
  'flags as words': (table, random) => {
    const [yes, no] = pick(random, [
      ['true', 'false'],
      ['TRUE', 'FALSE'],
      ['yes', 'no'],
      ['Yes', 'No'],
    ] as const);
    return textOf(eachFlag(table, (flag) => (flag === '1' ? yes : no)));
  },
  'flags in another language': (table) => textOf(eachFlag(table, (flag) => (flag === '1' ? 'ja' : 'nein'))),
  semicolons: (table) => textOf(table, ';'),
  tabs: (table) => textOf(table, '\t'),
  'commas in numbers, semicolons': (table) => textOf(withCommas(table), ';'),
  'commas in numbers, quoted': (table) => textOf(withCommas(table, '"')),
  'commas in numbers, not quoted': (table) => textOf(withCommas(table)),
  'seconds for milliseconds': ({ head, rows }) =>
    textOf({
      head,
      rows: rows.map((row) => row.map((field, i) => (head[i] === 'at_ms' ? String(Number(field) / 1000) : field))),
    }),
  backwards: ({ head, rows }) => textOf({ head, rows: [...rows].reverse() }),
  shuffled: ({ head, rows }, random) => textOf({ head, rows: shuffled(random, rows) }),
  'a field that is none': ({ head, rows }, random) => {
    const at = Math.floor(random() * rows.length);
    const column = Math.floor(random() * head.length);
    const bad = pick(random, rubbish);
    return textOf({
      head,
      rows: rows.map((row, n) => (n === at ? row.map((field, i) => (i === column ? bad : field)) : row)),
    });
  },
  'a column that is none': ({ head, rows }, random) => {
    const column = Math.floor(random() * head.length);
    const bad = pick(random, rubbish);
    return textOf({ head, rows: rows.map((row) => row.map((field, i) => (i === column ? bad : field))) });
  },
  'a column less': ({ head, rows }, random) => {
    const column = Math.floor(random() * head.length);
    const less = (row: readonly string[]) => row.filter((_, i) => i !== column);
    return textOf({ head: less(head), rows: rows.map(less) });
  },
  'an empty column': ({ head, rows }, random) => {
    const column = Math.floor(random() * head.length);
    return textOf({ head, rows: rows.map((row) => row.map((field, i) => (i === column ? '' : field))) });
  },
  'a column of another name': ({ head, rows }, random) => {
    const column = Math.floor(random() * head.length);
    return textOf({ head: head.map((name, i) => (i === column ? `${name}_2` : name)), rows });
  },
  'a column twice': ({ head, rows }, random) => {
    const column = Math.floor(random() * head.length);
    const twice = (row: readonly string[]) => [...row, row[column]!];
    return textOf({ head: twice(head), rows: rows.map(twice) });
  },
  'rows twice': ({ head, rows }) => textOf({ head, rows: rows.flatMap((row) => [row, row]) }),
  'cut short': (table, random) => {
    const text = textOf(table);
    return text.slice(0, Math.floor(text.length * (0.05 + 0.9 * random())));
  },
  'capitals, blanks and a mark': ({ head, rows }) =>
    `\uFEFF${textOf({ head: head.map((name) => ` ${name.toUpperCase()} `), rows: rows.map((row) => row.map((field) => ` ${field} `)) })}\r\n\r\n`,
};

/** What came of a file: a result, or a refusal; whether it says that something could not be seen. */
export interface CameOf {
  readonly outcome: Outcome | 'refused';
  readonly marks: number;
  readonly said: boolean;
}

export function cameOf(standard: EffectiveStandard, text: string): CameOf {
  const zones = new Set(standard.exercises.map(({ code }) => code));
  const read = readRunCsv(text, { zones });
  const refused = { outcome: 'refused', marks: 0, said: true } as const;
  if (!('run' in read)) return refused;
  const facts = { run: 'run', learnerId: 'l', startedAt: '2026-05-04T09:00:00.000Z', by: 'sensors' };
  const judged = judgeRun(standard, read.run.samples, facts);
  if (!judged) return refused;
  const { verdict, drive } = judged;
  return {
    outcome: verdict.outcome,
    marks: drive.marks.length,
    said: unseenWithout(standard, read.run.missing).length > 0,
  };
}

/** A spoilt copy of a file: how it was spoilt, and what it says now. */
export function spoilt(text: string, seed: number): { readonly how: string; readonly text: string } {
  const random = randomFrom(seed);
  const how = pick(random, Object.keys(spoils));
  return { how, text: spoils[how]!(tableOf(text), random) };
}

/** These say the same as before: what comes of them is what came of the sound file. */
export const sayTheSame: ReadonlySet<string> = new Set([
  ...['flags as words', 'semicolons', 'tabs', 'commas in numbers, semicolons', 'commas in numbers, quoted'],
  ...['backwards', 'shuffled', 'rows twice', 'capitals, blanks and a mark'],
]);
