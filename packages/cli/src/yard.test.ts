import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { run } from './run';

interface Judged {
  readonly outcome: string;
  readonly exercises: readonly {
    readonly exercise: string;
    readonly state: string;
    readonly attempts: readonly { readonly allowedS: number | null }[];
    readonly marks: readonly { readonly item: string; readonly fromMs: number | null; readonly atMs: number }[];
  }[];
  readonly unknownColumns: readonly string[];
  readonly leftOut: { readonly untimed: number };
}

async function yard(...args: readonly string[]) {
  const out: string[] = [];
  const err: string[] = [];
  const code = await run(['yard', ...args], { out: (line) => out.push(line), err: (line) => err.push(line) });
  return { code, out: out.join('\n'), err: err.join('\n') };
}

const fileOf = (text: string | Buffer): string => {
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'yard-')), 'run.csv');
  writeFileSync(file, text);
  return file;
};

describe('a yard run at the command line', () => {
  it('judges what the stand-in drives: a careful run passes, a careless one fails', async () => {
    const careful = fileOf((await yard('simulate')).out);
    const passed = await yard('judge', careful, '--json');
    expect(passed.code).toBe(0);
    const judged = JSON.parse(passed.out) as Judged;
    expect(judged.outcome).toBe('pass');
    expect(judged.exercises.map(({ state }) => state)).toEqual(['done', 'done', 'done', 'done', 'done']);
    const careless = await yard(
      'judge',
      fileOf((await yard('simulate', '--seed', '7', '--slips', '0.4')).out),
      '--json',
    );
    expect(careless.code).toBe(3);
    const marks = (JSON.parse(careless.out) as Judged).exercises.flatMap((one) => one.marks);
    expect(marks.length).toBeGreaterThan(3);
    expect(marks.every(({ fromMs }) => fromMs !== null)).toBe(true);
  });

  it('gives a retest five minutes more', async () => {
    const file = fileOf((await yard('simulate')).out);
    const { out } = await yard('judge', file, '--retest', '--json');
    expect((JSON.parse(out) as Judged).exercises.map(({ attempts }) => attempts[0]!.allowedS)).toEqual([
      390, 390, 420, 480, 600,
    ]);
  });

  it('says in words what was found, and what was left out', async () => {
    const lines = (await yard('simulate')).out.split('\n');
    // A row without a time, as a logger leaves it.
    const gone = [...lines.slice(0, 700), lines[700]!.replace(/^[^,]*/, ''), ...lines.slice(790)];
    const { out } = await yard('judge', fileOf(gone.join('\n').replace('tone', 'tune')));
    expect(out).toMatch(/^Timed yard v5: /);
    expect(out).toContain('Garage bay at 90 degrees: passed, ');
    expect(out).toContain('No signal for 4.5 s from 0:34: not judged.');
    expect(out).toContain('Left out: 1 sample with no usable time.');
    expect(out).toContain('Columns that are not known: tune');
  });

  it.each([
    ['', 'no samples'],
    ['speed_kmh\n3', '“at_ms”'],
    ['at_ms\n3', 'no column with sensor values'],
    ['at_ms,speed_kmh\n0,"3', 'Row 2'],
    ['at_ms,speed_kmh\nsoon,3', 'at_ms: 1 value of 1 cannot be read, “soon” in row 2.'],
    ['at_ms,speed_kmh\n,3', '“at_ms”'],
    [Buffer.from([0xff, 0xfe, 0x61, 0]), 'UTF-16'],
  ])('refuses a file that holds no run: %j', async (text, cause) => {
    const { code, err } = await yard('judge', fileOf(text));
    expect(code).toBe(2);
    expect(err).toContain(cause);
  });

  it.each([
    [['judge']],
    [['drive', 'x.csv']],
    [['judge', 'x.csv', '--standard', 'tally']],
    [['simulate', '--slips', '2']],
    [['simulate', '--seed', 'one']],
  ])('says how it is called: %j', async (args) => {
    expect((await yard(...args)).code).toBe(1);
  });
});
