import type { DriveEvent } from '@jasperwren/core/drive/event';
import { countBy } from '@jasperwren/core/marking/grouping';
import type { Call } from '../call';
import { notAllowed } from '../refusal';
import type { DriveDigest } from './digest';
import { eventsOf } from './store';

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
    const helps = log.some((event) => event.type === 'started' && event.helpers?.includes(accountId));
    if (!helps)
      throw notAllowed('Whoever started this drive did not name you as a helper. Nothing was taken.', {
        code: 'not-allowed',
      });
    const end = Math.min(...log.flatMap((event) => (event.type === 'ended' ? [event.atMs] : [])));
    if (ended && events.some(({ atMs }) => atMs > end))
      throw notAllowed('This drive has ended: whoever started it, or the lead, can still change it.', {
        code: 'not-allowed',
      });
  }
  if (!ended) return undefined;
  const kinds = Object.entries(countBy(events, ({ type }) => type)).map(([type, n]) => `${n} ${type}`);
  return `after the end: ${kinds.join(', ')}`;
}
