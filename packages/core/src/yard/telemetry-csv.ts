import Papa from 'papaparse';
import { channelNames, channels, type Channel, type SentSample } from './sample';

/** The largest file of samples that is read, in bytes: two hours at 20 Hz with every channel. */
export const mostCsvBytes = 24_000_000;
/** The most samples a file may hold. */
export const mostSamples = 150_000;

/** The column of each channel, with its unit where it has one. */
export const columns: Readonly<Record<'at' | Channel, string>> = {
  at: 'at_ms',
  speed: 'speed_kmh',
  rpm: 'rpm',
  gear: 'gear',
  clutch: 'clutch',
  brake: 'brake',
  parkingBrake: 'parking_brake',
  steering: 'steering_deg',
  indicator: 'indicator',
  belt: 'belt',
  door: 'door',
  engine: 'engine',
  rollBack: 'roll_back_cm',
  x: 'x_m',
  y: 'y_m',
  heading: 'heading_deg',
  zone: 'zone',
  inside: 'inside',
  line: 'line',
  pole: 'pole',
  tone: 'tone',
};

/** Values of a column that cannot be read as what the column holds. */
export interface UnreadableColumn {
  readonly column: string;
  readonly count: number;
  /** Of how many rows. */
  readonly of: number;
  /** The first of them: its row, counted from 1 with the heads, and what stands there. */
  readonly row: number;
  readonly value: string;
}

/** Why a file holds no run. */
export type CsvProblem =
  | { readonly code: 'empty' }
  | { readonly code: 'no-times' }
  | { readonly code: 'no-channels' }
  | { readonly code: 'too-many'; readonly most: number }
  /** A row that cannot be told apart into the fields of the head, counted from 1 with the heads. */
  | { readonly code: 'torn'; readonly row: number }
  /** A column that stands there twice. */
  | { readonly code: 'twice'; readonly column: string }
  /** What cannot be read might be a fault: with it nothing is judged. */
  | { readonly code: 'unreadable'; readonly columns: readonly UnreadableColumn[] }
  /** Times that are no milliseconds of a run: seconds, or days. */
  | { readonly code: 'times'; readonly seconds: number };

export interface CsvRun {
  /** In the order of their times where the file runs backwards. */
  readonly samples: readonly SentSample[];
  /** Columns that are not known. */
  readonly unknown: readonly string[];
  /** Channels of which the file has no reading at all: faults that rest on them cannot be seen. */
  readonly missing: readonly Channel[];
}

type Name = 'at' | Channel;

const channelOf = new Map(Object.entries(columns).map(([name, column]) => [column, name as Name]));
const nameOf = (column: string): Name | undefined => channelOf.get(column.trim().toLowerCase());

const delimiters = [',', ';', '\t'] as const;

/** The sign between the fields: that under which most of the head is known. */
function delimiterOf(text: string): string {
  const head = text.slice(0, text.search(/[\r\n]|$/)).replaceAll('"', '');
  const known = (sign: string) => head.split(sign).filter((column) => nameOf(column) !== undefined).length;
  return [...delimiters].sort((a, b) => known(b) - known(a))[0]!;
}

/** No run of a yard is shorter or longer, in milliseconds (house defaults): other times are of another unit. */
const shortestRunMs = 1000;
const longestRunMs = 24 * 3_600_000;
/** Fewer rows than this say nothing of how long a run is. */
const fewRows = 10;

/** What is asked of a file besides. */
interface Asked {
  /** The exercises there can be, by their codes; any where it is missing. */
  readonly zones?: ReadonlySet<string>;
}

/**
 * Reads the samples of a run from CSV (RFC 4180), also with semicolons or tabs: one head row with the names of `columns` in any
 * order. Every column is read by what it holds: flags as 0 and 1, true and false, yes and no; numbers within what is possible,
 * with a point, or with a comma where the whole file has commas; an empty field where there is no reading. A file in which
 * anything cannot be read is no run, since it might be a fault. Rows that run backwards are put in order.
 */
export function readRunCsv(
  text: string,
  { zones }: Asked = {},
): { readonly run: CsvRun } | { readonly problem: CsvProblem } {
  const plain = text.replace(/^\uFEFF/, '');
  const { data, errors } = Papa.parse<string[]>(plain, { skipEmptyLines: 'greedy', delimiter: delimiterOf(plain) });
  const torn = errors.find(({ type }) => type === 'Quotes');
  if (torn) return { problem: { code: 'torn', row: (torn.row ?? 0) + 1 } };
  const [head, ...rows] = data;
  if (!head || rows.length === 0) return { problem: { code: 'empty' } };
  const names = head.map(nameOf);
  if (!names.includes('at')) return { problem: { code: 'no-times' } };
  if (names.every((name) => name === undefined || name === 'at')) return { problem: { code: 'no-channels' } };
  const twice = names.findIndex((name, i) => name !== undefined && names.indexOf(name) < i);
  if (twice !== -1) return { problem: { code: 'twice', column: head[twice]! } };
  if (rows.length > mostSamples) return { problem: { code: 'too-many', most: mostSamples } };
  const uneven = rows.findIndex((row) => row.length !== head.length);
  if (uneven !== -1) return { problem: { code: 'torn', row: uneven + 2 } };

  const commas = writesCommas(names, rows);
  const read = rows.map((row) => names.map((name, i) => name && readField(name, row[i]!.trim(), commas, zones)));
  const unreadable = names.flatMap((name, i): UnreadableColumn[] => {
    const bad = read.flatMap((row, n) => (name !== undefined && row[i] === nonsense ? [n] : []));
    const [first] = bad;
    if (first === undefined) return [];
    return [
      { column: columns[name!], count: bad.length, of: rows.length, row: first + 2, value: rows[first]![i]!.trim() },
    ];
  });
  if (unreadable.length > 0) return { problem: { code: 'unreadable', columns: unreadable } };
  const samples = read.map((row): SentSample =>
    Object.fromEntries(names.flatMap((name, i) => (name && row[i] !== undefined ? [[name, row[i]]] : []))),
  );
  const times = samples.flatMap(({ at }) => (typeof at === 'number' ? [at] : []));
  const spanMs =
    times.reduce((most, at) => Math.max(most, at), -Infinity) -
    times.reduce((least, at) => Math.min(least, at), Infinity);
  if (times.length >= fewRows && (spanMs < shortestRunMs || spanMs > longestRunMs))
    return { problem: { code: 'times', seconds: spanMs / 1000 } };
  return {
    run: {
      samples: inOrder(samples, times),
      unknown: head.filter((_, i) => names[i] === undefined),
      missing: channelNames.filter((name) => {
        const i = names.indexOf(name);
        return i === -1 || rows.every((row) => row[i]!.trim() === '');
      }),
    },
  };
}

/** A file that runs backwards, or in no order at all, is put in order; late samples of a live run keep their place. */
function inOrder(samples: readonly SentSample[], times: readonly number[]): readonly SentSample[] {
  const back = times.filter((at, i) => i > 0 && at < times[i - 1]!).length;
  const last = times.length - 1;
  if (back * 4 < last && !(last > 0 && times[last]! < times[0]!)) return samples;
  return [...samples].sort((a, b) => Number(a.at ?? Infinity) - Number(b.at ?? Infinity));
}

const pointNumber = /^[-+]?(\d+\.?\d*|\.\d+)(e[-+]?\d+)?$/i;
const commaNumber = /^[-+]?\d+,\d+$/;

/** Whether a file has its decimals after a comma: it has such numbers, and none with a point. */
function writesCommas(names: readonly (Name | undefined)[], rows: readonly (readonly string[])[]): boolean {
  const fields = names.flatMap((name, i) =>
    name !== undefined && (name === 'at' || channels[name].kind === 'number') ? rows.map((row) => row[i]!.trim()) : [],
  );
  return fields.some((field) => commaNumber.test(field)) && !fields.some((field) => field.includes('.'));
}

/** Stands in place of what cannot be read. */
const nonsense = Symbol('nonsense');

const flags = new Map([
  ...['1', 'true', 'yes'].map((word) => [word, true] as const),
  ...['0', 'false', 'no'].map((word) => [word, false] as const),
]);

/** A field as what its column holds; undefined where there is no reading. */
function readField(
  name: Name,
  field: string,
  commas: boolean,
  zones: ReadonlySet<string> | undefined,
): string | number | boolean | typeof nonsense | undefined {
  if (name === 'zone') return field === '' || !zones || zones.has(field) ? field : nonsense;
  if (field === '') return undefined;
  const kind = name === 'at' ? ({ kind: 'number', least: 0, most: Number.MAX_SAFE_INTEGER } as const) : channels[name];
  switch (kind.kind) {
    case 'number': {
      const written = commas && commaNumber.test(field) ? field.replace(',', '.') : field;
      // A hexadecimal number or one with a unit is none.
      const value = pointNumber.test(written) ? Number(written) : Number.NaN;
      return value >= kind.least && value <= kind.most ? value : nonsense;
    }
    case 'flag':
      return flags.get(field.toLowerCase()) ?? nonsense;
    case 'choice':
      return kind.of.find((one) => one.toLowerCase() === field.toLowerCase()) ?? nonsense;
    case 'text':
      return field.length <= kind.most ? field : nonsense;
  }
}

/**
 * Reads rows of a run as they are sent, one after the other: what a field cannot hold is left to the rules for samples, since
 * nothing can be sent again while a car drives.
 */
export function readFeedRows(head: string, rows: readonly string[]): readonly SentSample[] {
  const names = Papa.parse<string[]>(head).data[0]?.map(nameOf) ?? [];
  const parsed = Papa.parse<string[]>(rows.join('\n'), { delimiter: ',' }).data;
  return parsed.map((row): SentSample => {
    const fields = names.flatMap((name, i) => {
      const field = row[i]?.trim();
      if (name === undefined || field === undefined) return [];
      const value = readField(name, field, false, undefined);
      return value === undefined || value === nonsense ? [] : [[name, value]];
    });
    return Object.fromEntries(fields) as SentSample;
  });
}

/** The head of a file with every channel. */
export const csvHead = Object.values(columns).join(',');

/** Samples as rows under `csvHead`, as a sender sends them. */
export function csvRows(samples: readonly SentSample[]): readonly string[] {
  return samples.length === 0 ? [] : writeRunCsv(samples).split(newline).slice(1);
}

const newline = '\r\n';

/** Writes samples as CSV that `readRunCsv` reads; what is no reading becomes an empty field. */
export function writeRunCsv(samples: readonly SentSample[]): string {
  const names = Object.keys(columns) as readonly ('at' | Channel)[];
  return Papa.unparse(
    {
      fields: names.map((name) => columns[name]),
      data: samples.map((sample) => names.map((name) => fieldOf(sample[name]))),
    },
    { newline },
  );
}

function fieldOf(value: unknown): string {
  if (typeof value === 'boolean') return value ? '1' : '0';
  if (typeof value === 'number') return Number.isFinite(value) ? String(value) : '';
  return typeof value === 'string' ? value : '';
}
