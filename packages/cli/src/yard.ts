import { t as say } from '@jasperwren/words/command';
import { problemWords } from '@jasperwren/words/marking/problems';
import { readFileSync } from 'node:fs';
import path from 'node:path';
import { parseArgs } from 'node:util';
import { v7 as newId } from 'uuid';
import type { Mark } from '@jasperwren/core/drive/drive';
import { fileText } from '@jasperwren/core/formats/file-text';
import { countingMarks } from '@jasperwren/core/marking/counting';
import { rulesOf } from '@jasperwren/core/marking/rules';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { courseSheet, type ExerciseSheet } from '@jasperwren/core/yard/course-sheet';
import type { Finding } from '@jasperwren/core/yard/findings';
import { judgeRun, type JudgedRun } from '@jasperwren/core/yard/judge-run';
import { randomPlan, simulateRun } from '@jasperwren/core/yard/simulate-run';
import {
  csvHead,
  csvRows,
  mostCsvBytes,
  readRunCsv,
  writeRunCsv,
  type CsvRun,
} from '@jasperwren/core/yard/telemetry-csv';
import { unseenWithout } from '@jasperwren/core/yard/unseen';
import { reasonSentence, verdictSentence } from '@jasperwren/words/marking/verdict';
import { t } from '@jasperwren/words/yard-pages';
import { csvProblem, foundSentence, leftOutSentence, unseenSentence } from '@jasperwren/words/yard-runs';
import { exitCodes, printJson, printLines, UsageError, type Io } from './io';
import { exitCodeOf } from './outcome';
import { shippedStandard } from './records';
import { sendAsCar } from './yard-send';

const options = {
  standard: { type: 'string', default: 'timed-yard' },
  retest: { type: 'boolean', default: false },
  json: { type: 'boolean', default: false },
  seed: { type: 'string', default: '1' },
  slips: { type: 'string', default: '0' },
  to: { type: 'string' },
  pace: { type: 'string', default: '1' },
  run: { type: 'string' },
} as const;

type Values = ReturnType<typeof parse>['values'];

const parse = (args: readonly string[]) => parseArgs({ args: [...args], options, allowPositionals: true });

/** `yard judge FILE` judges the run of a file of samples; `yard simulate` writes one of the stand-in; `yard send FILE` is a car. */
export async function yardCommand([what = '', ...args]: readonly string[], io: Io): Promise<number> {
  const { values, positionals } = parse(args);
  if (what === 'simulate' && positionals.length === 0) return simulate(values, io);
  const [file] = positionals;
  if (what === 'send' && file !== undefined && positionals.length === 1) return send(file, values, io);
  if (what !== 'judge' || file === undefined || positionals.length > 1) throw new UsageError(say('yardUsage'));
  const standard = yardStandard(values.standard);
  const read = readRun(file, new Set(standard.exercises.map(({ code }) => code)));
  if (typeof read === 'string') {
    io.err(`${file}: ${read}`);
    return exitCodes.unusable;
  }
  const judged = judgeRun(standard, read.samples, {
    run: 'run',
    learnerId: 'learner',
    startedAt: new Date(0).toISOString(),
    by: 'sensors',
    retest: values.retest,
  });
  if (!judged) {
    io.err(`${file}: ${csvProblem({ code: 'no-times' })}`);
    return exitCodes.unusable;
  }
  if (values.json) printJson(io, toJson(standard, judged, read));
  else print(standard, judged, read, io);
  return exitCodeOf([judged.verdict]);
}

function yardStandard(id: string): EffectiveStandard {
  const standard = shippedStandard(id);
  if (!standard.course) throw new UsageError(say('noCourse', { id }));
  return standard;
}

function readRun(file: string, zones?: ReadonlySet<string>): CsvRun | string {
  let bytes: Uint8Array;
  try {
    bytes = readFileSync(file);
  } catch (error) {
    return `cannot be read: ${error instanceof Error ? error.message : String(error)}`;
  }
  if (bytes.length > mostCsvBytes) return csvProblem({ code: 'too-large', mostMb: mostCsvBytes / 1e6 });
  const text = fileText(bytes);
  if (!text.ok) return text.problems.map(problemWords).join('; ');
  const read = readRunCsv(text.value, zones && { zones });
  return 'run' in read ? read.run : csvProblem(read.problem);
}

function simulate({ standard: id, seed, slips }: Values, io: Io): number {
  const [number, chance] = [Number(seed), Number(slips)];
  if (!Number.isSafeInteger(number)) throw new UsageError(say('takesASeed'));
  if (!(chance >= 0 && chance <= 1)) throw new UsageError(say('takesAChance'));
  const standard = yardStandard(id);
  printLines(io.out, writeRunCsv(simulateRun(standard, randomPlan(standard, number, chance))).replaceAll('\r', ''));
  return exitCodes.pass;
}

/** Sends a file as a car does, at its own times or so many times as fast. The car's code stands in JASPERWREN_CAR_TOKEN. */
async function send(file: string, { to, pace, run }: Values, io: Io): Promise<number> {
  const token = process.env['JASPERWREN_CAR_TOKEN'];
  const times = Number(pace);
  if (to === undefined || !token) throw new UsageError(say('sayWhere'));
  if (!(times > 0)) throw new UsageError(say('takesAPace'));
  const read = readRun(file);
  if (typeof read === 'string') {
    io.err(`${file}: ${read}`);
    return exitCodes.unusable;
  }
  const rows = csvRows(read.samples);
  const at = (row: number) => Number(rows[row]!.split(',', 1)[0]);
  const first = at(0);
  await sendAsCar({
    to,
    token,
    run: run ?? newId(),
    name: path.basename(file).slice(0, 80),
    columns: csvHead,
    rows,
    due: (row) => (at(row) - first) / times,
  });
  io.out(say('sent', { samples: rows.length }));
  return exitCodes.pass;
}

function sheetOf(standard: EffectiveStandard, { drive, verdict }: JudgedRun): readonly ExerciseSheet[] {
  return courseSheet(standard, drive, verdict, drive.lastMs);
}

function print(standard: EffectiveStandard, judged: JudgedRun, { unknown, missing }: CsvRun, io: Io): void {
  io.out(`${standard.name} v${standard.version}: ${verdictSentence(standard, judged.verdict)}`);
  const sheets = sheetOf(standard, judged);
  for (const { exercise, state, attempts, marks, failedBy } of sheets) {
    const times = attempts.map(({ timeMs, allowedS }) =>
      allowedS === undefined ? `${(timeMs / 1000).toFixed(1)} s` : `${(timeMs / 1000).toFixed(1)} of ${allowedS} s`,
    );
    io.out(`  ${exercise.name}: ${[t(state), ...times].join(', ')}`);
    if (failedBy) io.out(`    ${reasonSentence(standard, failedBy)}`);
    for (const mark of marks) io.out(`    ${markWords(standard, mark)}`);
  }
  const inExercises = new Set(sheets.flatMap(({ marks }) => marks.map(({ id }) => id)));
  for (const mark of countingMarks(standard, judged.drive))
    if (!inExercises.has(mark.id)) io.out(`  ${markWords(standard, mark)}`);
  for (const reason of judged.verdict.reasons) io.out(`  ${reasonSentence(standard, reason)}`);
  for (const found of judged.findings) {
    const words = foundSentence(found);
    if (words) io.out(`  ${words}`);
  }
  const leftOut = leftOutSentence(judged.leftOut);
  if (leftOut) io.out(`  ${leftOut}`);
  const unseen = unseenSentence(unseenWithout(standard, missing));
  if (unseen) io.out(`  ${unseen}`);
  if (unknown.length > 0) io.out(`  ${say('unknownColumns', { columns: unknown.join(', ') })}`);
}

function markWords(standard: EffectiveStandard, { item, grade, measured, atMs }: Mark): string {
  const { items, grades } = rulesOf(standard);
  const unit = items.get(item)?.item.measured?.unit ?? '';
  const value = measured === undefined ? '' : `, ${measured} ${unit}`;
  const at = (atMs / 1000).toFixed(2);
  return `at ${at} s: ${items.get(item)?.item.name ?? item}, ${grades.get(grade)?.name ?? grade}${value}`;
}

function toJson(standard: EffectiveStandard, judged: JudgedRun, { unknown, missing }: CsvRun) {
  const { drive, verdict, findings, leftOut } = judged;
  return {
    standard: { id: standard.id, version: standard.version },
    outcome: verdict.outcome,
    sentence: verdictSentence(standard, verdict),
    exercises: sheetOf(standard, judged).map(({ exercise, state, attempts, marks, room, failedBy }) => ({
      exercise: exercise.code,
      state,
      attempts: attempts.map(({ fromMs, timeMs, allowedS, retest, steps }) => ({
        fromMs,
        timeMs,
        allowedS: allowedS ?? null,
        retest,
        movements: steps.movement.length,
      })),
      used: room?.used ?? 0,
      allowed: room?.allowed ?? null,
      failedBy: failedBy ? { limit: failedBy.limit.code, atMs: failedBy.crossedAtMs } : null,
      marks: marks.map(({ item, grade, measured, atMs, detected }) => ({
        item,
        grade,
        measured: measured ?? null,
        atMs,
        fromMs: detected?.fromMs ?? null,
        toMs: detected?.toMs ?? null,
      })),
    })),
    marks: drive.marks.map(({ item, grade, atMs }) => ({ item, grade, atMs })),
    facts: findings.filter((one): one is Extract<Finding, { kind: 'fact' }> => one.kind === 'fact'),
    gaps: findings.flatMap((one) => (one.kind === 'gap' ? [{ fromMs: one.at, toMs: one.to }] : [])),
    leftOut,
    unknownColumns: unknown,
    missingChannels: missing,
    unseen: unseenWithout(standard, missing).map(({ code }) => code),
  };
}
