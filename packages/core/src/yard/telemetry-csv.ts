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

/** Why a file holds no run. */
export type CsvProblem =
  | { readonly code: 'empty' }
  | { readonly code: 'no-times' }
  | { readonly code: 'no-channels' }
  | { readonly code: 'too-many'; readonly most: number }
  /** A row that cannot be told apart into fields, counted from 1 with the heads. */
  | { readonly code: 'torn'; readonly row: number };

export interface CsvRun {
  readonly samples: readonly SentSample[];
  /** Columns that are not known. */
  readonly unknown: readonly string[];
  /** Known channels that the file has no column for. */
  readonly missing: readonly Channel[];
}

const channelOf = new Map(Object.entries(columns).map(([name, column]) => [column, name as 'at' | Channel]));

/**
 * Reads the samples of a run from CSV (RFC 4180): one head row with the names of `columns` in any order, flags as 0 and 1,
 * an empty field where there is no reading. What a field cannot hold is left to the rules for samples.
 */
export function readRunCsv(text: string): { readonly run: CsvRun } | { readonly problem: CsvProblem } {
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), {
    skipEmptyLines: 'greedy',
    delimiter: ',',
  });
  const torn = errors.find(({ type }) => type === 'Quotes');
  if (torn) return { problem: { code: 'torn', row: (torn.row ?? 0) + 1 } };
  const [head, ...rows] = data;
  if (!head || rows.length === 0) return { problem: { code: 'empty' } };
  const names = head.map((column) => channelOf.get(column.trim().toLowerCase()));
  if (!names.includes('at')) return { problem: { code: 'no-times' } };
  if (names.every((name) => name === undefined || name === 'at')) return { problem: { code: 'no-channels' } };
  if (rows.length > mostSamples) return { problem: { code: 'too-many', most: mostSamples } };
  return {
    run: {
      samples: rows.map((row) => sampleOf(names, row)),
      unknown: head.filter((_, i) => names[i] === undefined),
      missing: channelNames.filter((name) => !names.includes(name)),
    },
  };
}

function sampleOf(names: readonly ('at' | Channel | undefined)[], row: readonly string[]): SentSample {
  const sample: Partial<Record<'at' | Channel, unknown>> = {};
  names.forEach((name, i) => {
    const field = row[i]?.trim();
    if (name === undefined || field === undefined || (field === '' && name !== 'zone')) return;
    sample[name] = readField(name, field);
  });
  return sample;
}

function readField(name: 'at' | Channel, field: string): unknown {
  const kind = name === 'at' ? 'number' : channels[name].kind;
  // A hexadecimal number or one with a unit is none.
  if (kind === 'number') return /^[-+]?(\d+\.?\d*|\.\d+)(e[-+]?\d+)?$/i.test(field) ? Number(field) : Number.NaN;
  if (kind === 'flag') return field === '1' ? true : field === '0' ? false : field;
  return field;
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
