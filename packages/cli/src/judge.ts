import { readFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { foldDrive } from '@jasperwren/core/drive/fold';
import { parseDriveRecords, type DriveRecord } from '@jasperwren/core/formats/drive-record';
import { judgeDrive } from '@jasperwren/core/marking/judge';
import type { Standard } from '@jasperwren/core/marking/standard';
import { findTemplate, templates } from '@jasperwren/core/marking/templates/templates';
import type { Verdict } from '@jasperwren/core/marking/verdict';
import {
  describeMissing,
  itemName,
  limitName,
  reasonSentence,
  verdictSentence,
} from '@jasperwren/core/marking/wording';
import { exitCodes, type Io } from './io';

interface Judged {
  readonly record: DriveRecord;
  readonly standard: Standard;
  readonly verdict: Verdict;
}

/**
 * `judge FILE [--standard ID] [--json]`: reads a drive record or a list of them and prints verdict, reasons and
 * headroom. Exits 0 when every drive passes, 3 when one fails, 4 when none fails and one is incomplete, 2 when
 * the file cannot be used.
 */
export function judge(args: readonly string[], io: Io): number {
  const { values, positionals } = parseArgs({
    args: [...args],
    options: { standard: { type: 'string' }, json: { type: 'boolean', default: false } },
    allowPositionals: true,
  });
  const [file, ...more] = positionals;
  if (file === undefined || more.length > 0) {
    io.err('Name one file: jasperwren judge FILE [--standard ID] [--json]');
    return exitCodes.usage;
  }
  let source: string;
  try {
    source = readFileSync(file, 'utf8');
  } catch (error) {
    io.err(`${file}: cannot be read: ${error instanceof Error ? error.message : String(error)}`);
    return exitCodes.unusable;
  }
  const parsed = parseDriveRecords(source);
  if (!parsed.ok) {
    for (const { path, cause } of parsed.problems) io.err(`${file}: ${path || 'the file'}: ${cause}`);
    return exitCodes.unusable;
  }
  const judged: Judged[] = [];
  for (const record of parsed.value) {
    const standard = standardFor(record, values.standard);
    if (typeof standard === 'string') {
      io.err(`${file}: drive ${record.driveId}: ${standard}`);
      return exitCodes.unusable;
    }
    judged.push({ record, standard, verdict: judgeDrive(standard, foldDrive(record.events)) });
  }
  if (values.json) io.out(JSON.stringify(judged.map(toJson), null, 2));
  else judged.forEach((one, i) => print(one, i > 0, io));
  const outcomes = judged.map(({ verdict }) => verdict.outcome);
  if (outcomes.includes('fail')) return exitCodes.fail;
  return outcomes.includes('incomplete') ? exitCodes.incomplete : exitCodes.pass;
}

/** The standard to judge by, or why there is none. */
function standardFor(record: DriveRecord, asked: string | undefined): Standard | string {
  const known = templates.map(({ id }) => id).join(', ');
  if (asked !== undefined) return findTemplate(asked) ?? `there is no standard "${asked}"; there are: ${known}`;
  if ('categories' in record.standard) return record.standard;
  const { id, version } = record.standard;
  const template = findTemplate(id);
  if (template?.version === version) return template;
  return `it names the standard "${id}" in version ${version} and does not hold it; choose another with --standard (${known})`;
}

function print({ record, standard, verdict }: Judged, apart: boolean, io: Io): void {
  if (apart) io.out('');
  io.out(`${record.learner?.name ?? 'A learner'}, drive ${record.driveId}, ${standard.name} v${standard.version}`);
  io.out(verdictSentence(standard, verdict));
  for (const reason of verdict.reasons) {
    io.out(`  ${reasonSentence(standard, reason)}`);
    io.out(`    crossed at ${clock(reason.crossedBy.atMs)} by ${itemName(standard, reason.crossedBy.item)}`);
  }
  if (verdict.outcome === 'fail')
    for (const missing of verdict.missing) io.out(`  Besides: ${describeMissing(missing)}.`);
  for (const question of verdict.questions)
    io.out(`  To decide: ${limitName(standard, question)}, ${question.used} times.`);
  for (const mark of verdict.unplaced)
    io.out(`  Not judged: this standard has no "${mark.item}" with the grade "${mark.grade}" (${clock(mark.atMs)}).`);
  io.out('  Room left:');
  for (const room of verdict.headroom) {
    io.out(`    ${limitName(standard, room)}: ${Math.max(0, room.left)} of ${room.allowed} (${room.used} used)`);
  }
}

function toJson({ record, standard, verdict }: Judged) {
  return {
    driveId: record.driveId,
    standard: { id: standard.id, version: standard.version },
    outcome: verdict.outcome,
    sentence: verdictSentence(standard, verdict),
    reasons: verdict.reasons.map((reason) => ({
      limit: reason.limit.code,
      scope: reason.scope,
      used: reason.used,
      allowed: reason.limit.allowed.value,
      crossedAtMs: reason.crossedBy.atMs,
      marks: reason.marks.map((mark) => mark.id),
    })),
    missing: verdict.missing,
    questions: verdict.questions.map((question) => ({
      limit: question.limit.code,
      scope: question.scope,
      used: question.used,
    })),
    headroom: verdict.headroom.map(({ limit, scope, used, allowed, left }) => ({
      limit: limit.code,
      scope,
      used,
      allowed,
      left,
    })),
    unplaced: verdict.unplaced.map((mark) => mark.id),
  };
}

/** Minutes and seconds of the drive, such as 26:05. */
function clock(ms: number): string {
  const seconds = Math.floor(ms / 1000);
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}
