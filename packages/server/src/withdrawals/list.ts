import { appendFileSync, closeSync, existsSync, fsyncSync, openSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { Db } from '../db/database';

/** What can be taken back for good, so that no restore may bring it back. */
export type WithdrawalKind =
  'learner' | 'school' | 'trace' | 'voice' | 'run' | 'debrief-link' | 'route-link' | 'car' | 'account' | 'account-back';

/** Something that was taken back: erased, deleted, revoked, removed. */
export interface Withdrawal {
  readonly id: string;
  readonly schoolId: string;
  readonly kind: WithdrawalKind;
  /** The id of what was taken back. */
  readonly subject: string;
  /** RFC 3339. */
  readonly at: string;
}

const listFile = 'withdrawn.jsonl';
/** What releases before this one kept: learners who were erased, without an id of the line. */
const olderFile = 'erased.jsonl';

/** What the list beside the database holds, in its order. A line that a dying disk cut is passed over: its database has it. */
export function listedIn(dataDir: string): readonly Withdrawal[] {
  const older = linesOf(join(dataDir, olderFile)).flatMap((line): Withdrawal[] => {
    const { schoolId, learnerId } = line as { readonly schoolId?: string; readonly learnerId?: string };
    if (schoolId === undefined || learnerId === undefined) return [];
    return [{ id: `erased-${learnerId}`, schoolId, kind: 'learner', subject: learnerId, at: '' }];
  });
  return [...older, ...(linesOf(join(dataDir, listFile)) as readonly Withdrawal[])];
}

function linesOf(path: string): readonly unknown[] {
  if (!existsSync(path)) return [];
  return readFileSync(path, 'utf8')
    .split('\n')
    .filter(Boolean)
    .flatMap((line): unknown[] => {
      try {
        return [JSON.parse(line)];
      } catch {
        return [];
      }
    });
}

/**
 * Brings the list beside the database up to what the database has noted: the list stays where it is when a backup takes the
 * place of the database. What was noted and could not be listed is listed with the next.
 */
export async function listWithdrawals(db: Db, dataDir: string): Promise<void> {
  const known = new Set(listedIn(dataDir).map(({ id }) => id));
  const rows = await db.selectFrom('withdrawals').selectAll().orderBy('id').execute();
  const lines = rows
    .filter(({ id }) => !known.has(id))
    .map(({ school_id: schoolId, id, kind, subject, at }) => JSON.stringify({ id, schoolId, kind, subject, at }));
  if (lines.length === 0) return;
  const list = openSync(join(dataDir, listFile), 'a', 0o600);
  try {
    // A line that was cut is ended first.
    appendFileSync(list, `\n${lines.join('\n')}\n`);
    fsyncSync(list);
  } finally {
    closeSync(list);
  }
}
