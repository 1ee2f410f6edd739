import { t } from '@jasperwren/words/refusals';
import type { DriveEvent } from '@jasperwren/core/drive/event';
import { countBy } from '@jasperwren/core/marking/grouping';
import type { Call } from '../call';
import { notAllowed } from '../refusal';
import type { DriveDigest } from './digest';
import { eventsOf } from './store';
import { afterEndMark } from '@jasperwren/contract/audit';

interface DriveRow {
  readonly account_id: string;
  readonly digest: string;
}

/**
 * Who may add to the log of a drive that has begun: whoever started it and the leads of the school, always; helpers
 * named at its start, for what happened before it ended.
 * @returns what is added to a drive that has ended, in words for the audit trail; undefined for one under way
 * @throws notAllowed for everybody else
 */
export async function refuseStrangers(
  call: Call,
  driveId: string,
  { account_id, digest }: DriveRow,
  events: readonly DriveEvent[],
): Promise<string | undefined> {
  const {
    who: { accountId, role },
  } = call;
  const ended = (JSON.parse(digest) as DriveDigest).phase === 'ended';
  if (account_id !== accountId && role !== 'lead') {
    const log = await eventsOf(call, driveId);
    refuseNoHelper(log, accountId);
    const end = Math.min(...log.flatMap((event) => (event.type === 'ended' ? [event.atMs] : [])));
    if (ended && events.some(({ atMs }) => atMs > end))
      throw notAllowed(t('testEnded'), {
        code: 'not-allowed',
      });
  }
  if (!ended) return undefined;
  const kinds = Object.entries(countBy(events, ({ type }) => type)).map(([type, n]) => `${n} ${type}`);
  return `${afterEndMark}${kinds.join(', ')}`;
}

function refuseNoHelper(log: readonly DriveEvent[], accountId: string): void {
  if (log.some((event) => event.type === 'started' && event.helpers?.includes(accountId))) return;
  throw notAllowed(t('notASecondMarker'), {
    code: 'not-allowed',
  });
}

/**
 * Refuses whoever neither started a drive nor helps with it nor leads the school.
 * @param starter the account that started it
 */
export async function refuseMarker(call: Call, driveId: string, starter: string): Promise<void> {
  const { accountId, role } = call.who;
  if (starter !== accountId && role !== 'lead') refuseNoHelper(await eventsOf(call, driveId), accountId);
}
