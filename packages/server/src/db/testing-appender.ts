import { fullTest } from '@jasperwren/core/drive/testing';
import type { DriveEvent } from '@jasperwren/core/drive/event';
import { callNow } from '../call';
import { appendEvents, appendTogether, canGoTogether, type Sent } from '../drives/append';
import { addPieces } from '../traces/store';
import { openKeeper } from './keeper';
import { together } from './together';

/**
 * A process that does nothing but append to a drive, to be killed: says on its output which batch was acknowledged.
 * Called with the data folder, the school, the account and the number of its first batch.
 */
const [dataDir = '', schoolId = '', accountId = '', first = '0'] = process.argv.slice(2);
const who = { schoolId, accountId, role: 'lead' } as const;
const perBatch = 8;
const keeper = await openKeeper(dataDir);
const append = together(keeper.write, appendTogether);
const deed: Sent['deed'] = () => ({ schoolId, at: new Date(), action: 'sendEvents', accountId, subject: 'killed' });
const [start] = fullTest([]);

for (let batch = Number(first); ; batch++) {
  const events = Array.from({ length: perBatch }, (_, i): DriveEvent =>
    batch === 0 && i === 0 && start?.type === 'started'
      ? { ...start, learnerId: 'learner', id: '0-0' }
      : { ...start!, type: 'pin', id: `${batch}-${i}`, seq: i, atMs: 0 },
  );
  // Several at once share a commit, as several devices would.
  const again = keeper.write((db) => appendEvents({ ...callNow(db), who }, 'killed', { events: events.slice(0, 2) }));
  // By either way: the start by itself, what follows together with others.
  const all = canGoTogether({ events })
    ? append({ who, now: new Date(), driveId: 'killed', batch: { events }, deed })
    : keeper.write((db) => appendEvents({ ...callNow(db), who }, 'killed', { events }));
  await Promise.all([all, again]);
  // A piece of the trace comes twice as well, as over a network that loses answers.
  const fix = [1_780_000_000_000 + batch * 1000, 48, -30, 5, -1] as const;
  const piece = { pieces: [{ id: `piece-${batch}`, source: 'device' as const, fixes: [fix] }] };
  await Promise.all([1, 2].map(() => keeper.write((db) => addPieces({ ...callNow(db), who }, 'killed', piece))));
  process.stdout.write(`${batch}\n`);
}
