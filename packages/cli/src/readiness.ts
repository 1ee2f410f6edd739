import { t as say } from '@jasperwren/words/command';
import { parseArgs } from 'node:util';
import { foldDrive } from '@jasperwren/core/drive/fold';
import { eventText, sameOnce } from '@jasperwren/core/drive/same-once';
import type { DriveRecord } from '@jasperwren/core/formats/drive-record';
import { judgeDrive } from '@jasperwren/core/marking/judge';
import type { EffectiveStandard } from '@jasperwren/core/marking/standard';
import { verdictSentence } from '@jasperwren/words/marking/verdict';
import { unknownSchools, type Assumptions } from '@jasperwren/core/readiness/assumptions';
import { asOf, estimate, type Readiness } from '@jasperwren/core/readiness/estimate';
import { evidenceOfDrive } from '@jasperwren/core/readiness/evidence';
import { parseSchoolFigures } from '@jasperwren/core/formats/school-figures-file';
import { questionUnder } from '@jasperwren/core/readiness/question';
import { sightOf } from '@jasperwren/core/readiness/shown';
import { judgementWord, reasonWords, standingWords } from '@jasperwren/words/readiness-items';
import { chanceSentence, howItCame } from '@jasperwren/words/readiness-estimate';
import { exitCodes, printJson, UsageError, type Io } from './io';
import { knownIds, ownStandard, readFileAs, readRecords, shippedStandard } from './records';

/**
 * `readiness FILE [--standard ID] [--school FILE] [--on DATE] [--seed N] [--json]`: reads drive records of one learner and says
 * how ready they were on a day, from the drives before it, by the figures of a school or by the stated defaults. Exits 0 where it is "book", 3 at "not yet", 4 at "nearly" and
 * "cannot say yet", 2 where the file cannot be used.
 */
export function readinessCommand(args: readonly string[], io: Io): number {
  const { values, positionals } = parseArgs({
    args: [...args],
    options: {
      standard: { type: 'string' },
      school: { type: 'string' },
      on: { type: 'string' },
      seed: { type: 'string', default: '1' },
      json: { type: 'boolean', default: false },
    },
    allowPositionals: true,
  });
  const [file, ...more] = positionals;
  const on = values.on === undefined ? asOf(new Date()) : dayOf(values.on);
  const seed = Number(values.seed);
  if (file === undefined || more.length > 0 || !on || !Number.isSafeInteger(seed))
    throw new UsageError(say('readinessUsage'));
  const read = readRecords(file, io);
  if (!read) return exitCodes.unusable;
  const schools = values.school === undefined ? unknownSchools : readFileAs(values.school, parseSchoolFigures, io);
  if (!schools) return exitCodes.unusable;
  const records = eachOnce(read);
  if (typeof records === 'string') {
    io.err(`${file}: ${records}`);
    return exitCodes.unusable;
  }
  const standard = standardFor(records, values.standard);
  if (!standard) {
    io.err(say('noStandard', { file, known: knownIds() }));
    return exitCodes.unusable;
  }
  const evidence = records.flatMap((record) => {
    const own = ownStandard(record) ?? standard;
    const drive = foldDrive(record.events);
    if (!drive.ended) return [];
    const one = evidenceOfDrive(own, drive);
    if (!one)
      io.err(say('leftOutOfIt', { file, test: record.driveId, why: verdictSentence(own, judgeDrive(own, drive)) }));
    return one ? { ...one, ...markerOf(record) } : [];
  });
  const sights = records.map((record) => sightOf(ownStandard(record) ?? standard));
  const question = questionUnder(standard, schools, { evidence, on, sights });
  const readiness = estimate({ ...question, seed });
  if (values.json) printJson(io, { standard: standard.id, on: on.toISOString().slice(0, 10), ...readiness });
  else {
    print(readiness, standard, question.assumptions, io);
    io.out(`  ${say(values.school === undefined ? 'byDefaults' : 'bySchool')}`);
  }
  return {
    book: exitCodes.pass,
    'not-yet': exitCodes.fail,
    nearly: exitCodes.incomplete,
    'cannot-say': exitCodes.incomplete,
  }[readiness.judgement.word];
}

/** The end of a day `YYYY-MM-DD` in UTC; undefined where there is no such day. */
function dayOf(text: string): Date | undefined {
  const day = new Date(`${text}T23:59:59Z`);
  return !Number.isNaN(day.getTime()) && day.toISOString().startsWith(text) && text.length === 10 ? day : undefined;
}

/** Who marked a drive: whoever started it. */
function markerOf({ events }: DriveRecord): { readonly marker?: string } {
  const by = events.find(({ type }) => type === 'started')?.by;
  return by === undefined ? {} : { marker: by };
}

/** Each drive once; where one is there twice and differs, both places. */
function eachOnce(records: readonly DriveRecord[]): readonly DriveRecord[] | string {
  const texts = new Map<string, number>();
  const textOf = ({ events }: DriveRecord) => [...sameOnce(events).values()].map(eventText).sort().join();
  const kept: DriveRecord[] = [];
  for (const [i, record] of records.entries()) {
    const before = texts.get(record.driveId);
    if (before === undefined) {
      texts.set(record.driveId, i);
      kept.push(record);
    } else if (textOf(records[before]!) !== textOf(record))
      return `/${i}: the drive "${record.driveId}" is there twice and differs from /${before}`;
  }
  return kept;
}

const startOf = ({ events }: DriveRecord): string =>
  new Date(events.find(({ type }) => type === 'started')!.wall).toISOString();

/** The standard asked for, in the version of the records where they name it; else that of the latest drive. */
function standardFor(records: readonly DriveRecord[], asked: string | undefined): EffectiveStandard | undefined {
  const own = [...records]
    .sort((a, b) => (startOf(a) < startOf(b) ? -1 : 1))
    .flatMap((record) => ownStandard(record) ?? [])
    .findLast(({ id }) => asked === undefined || id === asked);
  return own ?? (asked === undefined ? undefined : shippedStandard(asked));
}

function print(readiness: Readiness, standard: EffectiveStandard, assumptions: Assumptions, io: Io): void {
  const { judgement, checks, changes, chance } = readiness;
  io.out(say('wordUnder', { word: judgementWord(judgement.word), standard: standard.name, version: standard.version }));
  io.out(chanceSentence(readiness));
  for (const reason of judgement.reasons) io.out(`  ${reasonWords(reason)}`);
  io.out(`  ${say('shownSoFar')}`);
  for (const item of checks) io.out(`    ${item.ok ? 'done ' : 'to do'}  ${standingWords(item)}`);
  io.out(`  ${say('daysGained')}`);
  for (const change of changes.slice(0, 5).filter((one) => one.chance > chance.mean))
    io.out(`    ${change.name}: +${(20 * (change.chance - chance.mean)).toFixed(1)}`);
  for (const words of howItCame(readiness, assumptions)) io.out(`  ${words}`);
}
