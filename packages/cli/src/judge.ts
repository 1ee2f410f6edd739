import { t as say } from '@jasperwren/words/command';
import { parseArgs } from 'node:util';
import { foldDrive } from '@jasperwren/core/drive/fold';
import type { DriveRecord } from '@jasperwren/core/formats/drive-record';
import { judgeDrive } from '@jasperwren/core/marking/judge';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import type { Reason } from '@jasperwren/core/marking/reason';
import { judgeUnder, type Compared } from '@jasperwren/core/marking/compare/translate';
import type { Verdict } from '@jasperwren/core/marking/verdict';
import {
  conflictSentence,
  crossingWords,
  failedAttemptWords,
  reasonSentence,
  verdictSentence,
} from '@jasperwren/words/marking/verdict';
import { describeMissing } from '@jasperwren/words/marking/missing';
import { clockWords } from '@jasperwren/words/yard-runs';
import { limitName } from '@jasperwren/words/marking/names';
import { exitCodes, printJson, UsageError, type Io } from './io';
import { exitCodeOf } from './outcome';
import { comparisonTable, judgeUnderAll, translationNotes } from './judge-all';
import { knownIds, ownStandard, readRecords, shippedStandard } from './records';

interface Judged {
  readonly record: DriveRecord;
  readonly standard: EffectiveStandard;
  readonly verdict: Verdict;
  /** How the marks were read, where they come from another standard. */
  readonly notes: readonly string[];
}

/**
 * `judge FILE [--standard ID] [--json]`: reads a drive record or a list of them and prints verdict, reasons and
 * headroom; with `--standard all` a table of the verdicts under every standard. Exits 0 when every drive passes, 3 when one fails, 4 when none fails and one is incomplete, 2 when
 * the file cannot be used.
 */
export function judge(args: readonly string[], io: Io): number {
  const { values, positionals } = parseArgs({
    args: [...args],
    options: { standard: { type: 'string' }, json: { type: 'boolean', default: false } },
    allowPositionals: true,
  });
  const [file, ...more] = positionals;
  if (file === undefined || more.length > 0) throw new UsageError(say('judgeUsage'));
  const records = readRecords(file, io);
  if (!records) return exitCodes.unusable;
  if (values.standard === 'all') return judgeAll(file, records, values.json, io);
  const judged: Judged[] = [];
  for (const record of records) {
    const one = judgeOne(record, values.standard);
    if (typeof one === 'string') {
      io.err(`${file}: drive ${record.driveId}: ${one}`);
      return exitCodes.unusable;
    }
    judged.push(one);
  }
  if (values.json) printJson(io, judged.map(toJson));
  else judged.forEach((one, i) => print(one, i > 0, io));
  return exitCodeOf(judged.map(({ verdict }) => verdict));
}

/** Every drive under every standard; the exit code is that of the verdicts under their own. */
function judgeAll(file: string, records: readonly DriveRecord[], asJson: boolean, io: Io): number {
  const tables: { readonly record: DriveRecord; readonly compared: readonly Compared[] }[] = [];
  for (const record of records) {
    const own = ownStandard(record);
    if (!own) {
      io.err(`${file}: drive ${record.driveId}: ${noOwnStandard(record)}`);
      return exitCodes.unusable;
    }
    tables.push({ record, compared: judgeUnderAll(own, foldDrive(record.events)) });
  }
  if (asJson) {
    const json = tables.map(({ record, compared }) =>
      compared.map((one) =>
        toJson({ record, standard: one.standard, verdict: one.verdict, notes: translationNotes(one) }),
      ),
    );
    printJson(io, json);
  } else {
    tables.forEach(({ record, compared }, i) => {
      if (i > 0) io.out('');
      io.out(
        say('headUnderAll', {
          learner: record.learner?.name ?? 'A learner',
          test: record.driveId,
          standard: compared[0]!.standard.name,
        }),
      );
      for (const line of comparisonTable(compared)) io.out(line);
      for (const one of compared) for (const note of translationNotes(one)) io.out(`  ${one.standard.name}: ${note}.`);
    });
  }
  return exitCodeOf(tables.map(({ compared }) => compared[0]!.verdict));
}

/** A drive judged by the standard asked for or its own, or why it cannot be. */
function judgeOne(record: DriveRecord, asked: string | undefined): Judged | string {
  const own = ownStandard(record);
  const drive = foldDrive(record.events);
  // Asked for by name, a record's own standard is the version the drive was marked under.
  if (asked === undefined || (own && own.id === asked))
    return own ? { record, standard: own, verdict: judgeDrive(own, drive), notes: [] } : noOwnStandard(record);
  const standard = shippedStandard(asked);
  if (own) {
    const compared = judgeUnder(own, standard, drive);
    return { record, standard, verdict: compared.verdict, notes: translationNotes(compared) };
  }
  const note = say('codesTakenFor', { standard: standard.name });
  return { record, standard, verdict: judgeDrive(standard, drive), notes: [note] };
}

function noOwnStandard({ standard: { id, version } }: DriveRecord): string {
  return `it names the standard "${id}" in version ${version} and does not hold it; choose another with --standard (${knownIds()})`;
}

function print({ record, standard, verdict, notes }: Judged, apart: boolean, io: Io): void {
  if (apart) io.out('');
  io.out(
    say('headOfOne', {
      learner: record.learner?.name ?? 'A learner',
      test: record.driveId,
      standard: standard.name,
      version: standard.version,
    }),
  );
  io.out(verdictSentence(standard, verdict));
  for (const reason of verdict.reasons) {
    io.out(`  ${reasonSentence(standard, reason)}`);
    io.out(`    at ${clockWords(reason.crossedAtMs)}: ${crossingWords(standard, reason)}`);
  }
  if (verdict.outcome === 'fail')
    for (const missing of verdict.missing) io.out(`  ${say('alsoMissing', { missing: describeMissing(missing) })}`);
  for (const question of verdict.questions)
    io.out(`  ${say('forYouToDecide', { limit: limitName(standard, question), used: question.used })}`);
  for (const conflict of verdict.conflicts) io.out(`  ${conflictSentence(standard, conflict)}`);
  for (const { atMs, words } of failedAttemptWords(standard, verdict))
    io.out(`  ${say('attemptFailedAt', { time: clockWords(atMs), reason: words })}`);
  for (const note of notes) io.out(`  ${note}.`);
  if (verdict.headroom.length > 0) io.out(`  ${say('leftUnderEachLimit')}`);
  for (const room of verdict.headroom) {
    io.out(
      `    ${say('roomLeft', { limit: limitName(standard, room), left: Math.max(0, room.left), allowed: room.allowed, used: room.used })}`,
    );
  }
}

function toJson({ record, standard, verdict, notes }: Judged) {
  return {
    driveId: record.driveId,
    standard: { id: standard.id, version: standard.version },
    outcome: verdict.outcome,
    sentence: verdictSentence(standard, verdict),
    reasons: verdict.reasons.map((reason) => ({
      limit: reason.limit.code,
      scope: reason.scope ?? '',
      used: reason.used,
      allowed: reason.limit.allowed.value,
      crossedAtMs: reason.crossedAtMs,
      marks: reason.marks.map((mark) => mark.id),
    })),
    stops: verdict.stops,
    missing: verdict.missing,
    failedExercises: verdict.failedExercises.map(toCrossing),
    failedAttempts: verdict.failedAttempts.map(toCrossing),
    saidFailed: verdict.saidFailed,
    conflicts: verdict.conflicts.map(({ mark, byValue, counts }) => ({
      mark: mark.id,
      grade: mark.grade,
      measured: mark.measured,
      byValue: byValue ?? null,
      counts,
    })),
    capped: verdict.capped.map((mark) => mark.id),
    questions: verdict.questions.map((question) => ({
      limit: question.limit.code,
      scope: question.scope ?? '',
      used: question.used,
    })),
    headroom: verdict.headroom.map(({ limit, scope = '', used, allowed, left }) => ({
      limit: limit.code,
      scope,
      used,
      allowed,
      left,
    })),
    notes,
  };
}

const toCrossing = ({ limit, scope = '', crossedAtMs }: Reason) => ({ limit: limit.code, scope, crossedAtMs });
