import { parseArgs } from 'node:util';
import { foldDrive } from '@jasperwren/core/drive/fold';
import type { DriveRecord } from '@jasperwren/core/formats/drive-record';
import type { Standard } from '@jasperwren/core/marking/standard';
import { findTemplate } from '@jasperwren/core/marking/templates/templates';
import { defaultAssumptions } from '@jasperwren/core/readiness/assumptions';
import { asOf, estimate, type Readiness } from '@jasperwren/core/readiness/estimate';
import { evidenceOfDrive } from '@jasperwren/core/readiness/evidence';
import { judgementNames } from '@jasperwren/core/readiness/judgement';
import { chanceSentence, howItCame } from '@jasperwren/core/readiness/words';
import { exitCodes, type Io } from './io';
import { knownIds, ownStandard, readRecords } from './records';

/**
 * `readiness FILE [--standard ID] [--on DATE] [--seed N] [--json]`: reads drive records of one learner and says how
 * ready they were on a day, from the drives before it. Exits 0 where it is "book", 3 at "not yet", 4 at "nearly" and
 * "cannot say yet", 2 where the file cannot be used.
 */
export function readinessCommand(args: readonly string[], io: Io): number {
  const { values, positionals } = parseArgs({
    args: [...args],
    options: {
      standard: { type: 'string' },
      on: { type: 'string' },
      seed: { type: 'string', default: '1' },
      json: { type: 'boolean', default: false },
    },
    allowPositionals: true,
  });
  const [file, ...more] = positionals;
  const on = values.on === undefined ? asOf(new Date()) : new Date(`${values.on}T23:59:59Z`);
  const seed = Number(values.seed);
  if (file === undefined || more.length > 0 || Number.isNaN(on.getTime()) || !Number.isSafeInteger(seed)) {
    io.err('Name one file: jasperwren readiness FILE [--standard ID] [--on YYYY-MM-DD] [--seed N] [--json]');
    return exitCodes.usage;
  }
  const records = readRecords(file, io);
  if (!records) return exitCodes.unusable;
  const standard = standardFor(records, values.standard);
  if (typeof standard === 'string') {
    io.err(`${file}: ${standard}`);
    return exitCodes.unusable;
  }
  const evidence = records.flatMap((record) => {
    const own = ownStandard(record) ?? standard;
    const drive = foldDrive(record.events);
    return drive.ended ? [evidenceOfDrive(own, drive)] : [];
  });
  const readiness = estimate({ standard, evidence, on, assumptions: defaultAssumptions, seed });
  if (values.json)
    io.out(JSON.stringify({ standard: standard.id, on: on.toISOString().slice(0, 10), ...readiness }, null, 2));
  else print(readiness, standard, io);
  return {
    book: exitCodes.pass,
    'not-yet': exitCodes.fail,
    nearly: exitCodes.incomplete,
    'cannot-say': exitCodes.incomplete,
  }[readiness.judgement.word];
}

/** The standard asked for, or that of the last drive. */
function standardFor(records: readonly DriveRecord[], asked: string | undefined): Standard | string {
  const found = asked === undefined ? records.map(ownStandard).findLast(Boolean) : findTemplate(asked);
  return found ?? `no standard to judge by; choose one with --standard (${knownIds()})`;
}

function print(readiness: Readiness, standard: Standard, io: Io): void {
  const { judgement, checks, changes, chance } = readiness;
  io.out(`${judgementNames[judgement.word]}, under ${standard.name} v${standard.version}`);
  io.out(chanceSentence(readiness));
  for (const reason of judgement.reasons) io.out(`  ${reason}`);
  io.out('  Shown so far:');
  for (const { ok, stands } of checks) io.out(`    ${ok ? 'yes' : 'no '}  ${stands}`);
  io.out('  Test days of 20 gained with half the faults of:');
  for (const change of changes.slice(0, 5).filter((one) => one.chance > chance.mean))
    io.out(`    ${change.name}: +${(20 * (change.chance - chance.mean)).toFixed(1)}`);
  for (const words of howItCame(readiness, defaultAssumptions)) io.out(`  ${words}`);
}
