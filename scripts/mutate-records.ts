// npm run mutate [RECORDS] [SEED]: drive records spoilt in every way through the command line. It must end in a result, in "no result" or in
// an error that names the place: never in a wrong call, never in a stack trace, never in a result from an unsound standard.
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import fc from 'fast-check';
import { judge } from '../packages/cli/src/judge';
import { readinessCommand } from '../packages/cli/src/readiness';
import { exitCodes, safeIo } from '../packages/cli/src/io';
import { pick, randomFrom } from '../packages/core/src/safety-questions/random';
import type { EventBody } from '../packages/core/src/drive/event';
import { logOf, start } from '../packages/core/src/drive/testing';
import { standardProblems } from '../packages/core/src/formats/standard-file';
import type { Standard } from '../packages/core/src/marking/standard';
import { templates } from '../packages/core/src/marking/testing-standards';
import { anyLogUnder } from '../packages/core/src/marking/testing-arbitraries';

type Json = null | boolean | number | string | Json[] | { [key: string]: Json };

const records = Number(process.argv[2] ?? 20_000);
const seed = Number(process.argv[3] ?? 1);
const random = randomFrom(seed);
const below = (n: number) => Math.floor(random() * n);

const logs = new Map(
  templates.map((standard) => [standard.id, fc.sample(anyLogUnder(standard), { numRuns: 40, seed })]),
);

function freshRecord(): Json {
  const standard = pick(random, templates);
  const whole = random() < 0.6;
  return JSON.parse(
    JSON.stringify({
      format: 'jasperwren-drive',
      formatVersion: 1,
      driveId: `drive-${below(1000)}`,
      ...(random() < 0.5 && { learner: { name: 'A Learner' } }),
      standard: whole ? standard : { id: standard.id, version: standard.version },
      events: random() < 0.3 ? passingLog(standard) : pick(random, logs.get(standard.id)!),
    }),
  ) as Json;
}

const strange: readonly Json[] = [
  null,
  true,
  false,
  0,
  -1,
  1,
  2,
  15,
  0.5,
  1e308,
  -1e-9,
  2 ** 53,
  '',
  ' ',
  'fifteen',
  '__proto__',
  'constructor',
  'toString',
  '\u001b[2J',
  'line\nbreak',
  '\u202e',
  '\ud800',
  'x'.repeat(3000),
  [],
  {},
  [[]],
  { kind: 'shrug' },
  { value: -3 },
  'started',
  'ended',
  'mark',
  'none',
  'tally',
];

/** A whole test under a standard that passes before it is spoilt. */
function passingLog(standard: Standard) {
  const exercises = standard.exercises.map(({ code }): EventBody => ({
    type: 'section',
    section: 'exercise',
    exercise: code,
  }));
  return logOf([
    [0, start(standard.id)],
    ...exercises.map((body, i) => [i * 0.7, body] as const),
    [7, { type: 'section', section: 'independent' }],
    [standard.id === 'timed-yard' ? 15 : 40, { type: 'ended', ending: 'completed' }],
  ]);
}

/** Every place of a value: the holder and the key. */
function places(value: Json, found: [Record<string, Json> | Json[], string | number][] = []) {
  if (Array.isArray(value))
    value.forEach((one, i) => {
      found.push([value, i]);
      places(one, found);
    });
  else if (value !== null && typeof value === 'object')
    for (const key of Object.keys(value)) {
      found.push([value, key]);
      places(value[key]!, found);
    }
  return found;
}

/** Spoils a record at one place, knowing its structure: values change places, go, come twice or become strange. */
function spoil(record: Json): void {
  const all = places(record);
  if (all.length === 0) return;
  // Half of the time something near: the events, where a small change may leave the record sound.
  const events = all.filter(([, key]) =>
    ['atMs', 'grade', 'item', 'exercise', 'target', 'measured', 'seq', 'type'].includes(String(key)),
  );
  const [holder, key] = pick(random, random() < 0.5 && events.length > 0 ? events : all);
  const at = holder as Record<string | number, Json>;
  switch (below(7)) {
    case 0:
      at[key] = pick(random, strange);
      break;
    case 1:
      if (Array.isArray(holder)) holder.splice(Number(key), 1);
      else delete holder[key as string];
      break;
    case 2:
      if (Array.isArray(holder)) holder.splice(Number(key), 0, structuredClone(holder[Number(key)]!));
      else holder[`${key}s`] = structuredClone(holder[key as string]!);
      break;
    case 3: {
      const [other, otherKey] = pick(random, all);
      at[key] = structuredClone((other as Record<string | number, Json>)[otherKey] ?? null);
      break;
    }
    case 4:
      if (Array.isArray(holder)) holder.reverse();
      else at[key] = pick(random, strange);
      break;
    case 5:
      if (typeof key === 'string' && random() < 0.6)
        at[key] = pick(
          random,
          all.filter(([, other]) => other === key).map(([h]) => (h as Record<string, Json>)[key]!),
        );
      else if (typeof at[key] === 'number') at[key] = pick(random, [0, -at[key], at[key] * 1000, at[key] + 1]);
      else if (Array.isArray(at[key])) at[key] = [];
      else at[key] = pick(random, strange);
      break;
    default:
      if (Array.isArray(at[key])) at[key] = at[key].flatMap((one) => [one, structuredClone(one)]);
      else if (typeof at[key] === 'string') at[key] = `${at[key]}x`;
      else at[key] = pick(random, strange);
  }
}

/** Spoils the bytes of a file as well, now and then. */
function bytesOf(record: Json): Buffer {
  const text = JSON.stringify(record);
  switch (below(40)) {
    case 0:
      return Buffer.from(text.slice(0, below(text.length)));
    case 1:
      return Buffer.from(text.replace(/:\d+/, ':1e400'));
    case 2:
      return Buffer.from(`\uFEFF${text}`);
    case 3:
      return Buffer.from(text, 'utf16le');
    case 4: {
      const bytes = Buffer.from(text);
      bytes[below(bytes.length)] = below(256);
      return bytes;
    }
    case 5:
      return Buffer.from(`[${text},${text}]`);
    default:
      return Buffer.from(text);
  }
}

const folder = mkdtempSync(join(tmpdir(), 'jasperwren-mutate-'));
const file = join(folder, 'drive.json');
const seen = new Map<number, number>();
let wrong = 0;
for (let n = 0; n < records; n++) {
  const record = freshRecord();
  for (let times = pick(random, [0, 1, 1, 1, 2, 3]); times > 0; times--) spoil(record);
  writeFileSync(file, bytesOf(record));
  const lines: string[] = [];
  const io = safeIo({ out: (line) => lines.push(line), err: (line) => lines.push(line) });
  const args = pick(random, [
    [file],
    [file, '--json'],
    [file, '--standard', pick(random, templates).id],
    [file, '--standard', 'all'],
  ]);
  const run = () => (random() < 0.05 ? readinessCommand([file, '--on', '2026-06-01'], io) : judge(args, io));
  let code: number | undefined;
  try {
    code = run();
  } catch (error) {
    lines.push(String(error instanceof Error ? error.stack : error));
  }
  seen.set(code ?? -1, (seen.get(code ?? -1) ?? 0) + 1);
  const said = lines.join('\n');
  const standard = (record as { standard?: Json } | null)?.standard;
  const judged = code === exitCodes.pass || code === exitCodes.fail || code === exitCodes.incomplete;
  const unsound =
    judged &&
    typeof standard === 'object' &&
    standard !== null &&
    'categories' in standard &&
    standardProblems(standard).length > 0;
  const faults = [
    code === undefined && 'threw',
    code === exitCodes.usage && 'exit 1',
    unsound && 'judged by an unsound standard',
    / at .*\.ts:\d/.test(said) && 'stack trace',
    /undefined|\[object/.test(said) && 'said "undefined"',
    lines.length > 5000 && 'many lines',
    // eslint-disable-next-line no-control-regex
    lines.some((line) => /[\u0000-\u001f\u007f-\u009f]/.test(line)) && 'control characters',
    code === exitCodes.unusable && said.length === 0 && 'no reason',
  ].filter(Boolean);
  if (faults.length === 0) continue;
  wrong++;
  if (wrong <= 10) console.error(`record ${n}: ${faults.join(', ')}\n${said.slice(0, 1500)}\n`);
}
rmSync(folder, { recursive: true });
console.log(
  `${records} spoilt records, seed ${seed}. Exit codes: ${[...seen]
    .sort()
    .map(([code, n]) => `${code}: ${n}`)
    .join(', ')}. Wrong: ${wrong}.`,
);
process.exitCode = wrong > 0 ? 1 : 0;
