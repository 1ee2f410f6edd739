import { mostEventsInABatch } from '@jasperwren/contract/batch';
import type { DriveEvent } from '@jasperwren/core/drive/event';
import { store } from '../../app/store';
import { apiError } from '../../app/api';
import { drivesApi } from '../drives-api';
import { drivesToSend, markSent, sentAmong, unsentEvents } from './device-log';
import { driveNowMs } from './drive-clock';
import { eventsSent, troubleChanged, type SendTrouble } from './drive-logs';

const firstWaitMs = 1000;
const longestWaitMs = 15_000;
/** Marks made in one go travel together, and the screen comes before the network. */
const gatherMs = 200;

let schoolId: string | undefined;
let timer: ReturnType<typeof setTimeout> | undefined;
let sending = false;
let again = false;
let waitMs = firstWaitMs;

/** Sends what waits on this device for this school, now and whenever there is something new or the network returns. */
export function startSending(forSchool: string): () => void {
  schoolId = forSchool;
  waitMs = firstWaitMs;
  const onOnline = () => {
    waitMs = firstWaitMs;
    sendSoon();
  };
  window.addEventListener('online', onOnline);
  sendSoon();
  return () => {
    window.removeEventListener('online', onOnline);
    clearTimeout(timer);
    schoolId = undefined;
  };
}

/** Sends as soon as the present request, if any, is done. */
export function sendSoon(): void {
  if (sending) again = true;
  else schedule(gatherMs);
}

function schedule(ms: number): void {
  clearTimeout(timer);
  timer = setTimeout(() => void sendAll(), ms);
}

async function sendAll(): Promise<void> {
  if (!schoolId || sending) return;
  sending = true;
  again = false;
  let trouble: SendTrouble | undefined;
  try {
    for (const driveId of await waitingDrives(schoolId)) trouble = (await sendDrive(driveId)) ?? trouble;
    await learnWhatOthersSent();
  } finally {
    sending = false;
  }
  store.dispatch(troubleChanged(trouble));
  if (trouble) {
    schedule(waitMs);
    waitMs = Math.min(longestWaitMs, waitMs * 2);
  } else {
    waitMs = firstWaitMs;
    if (again) schedule(gatherMs);
  }
}

/** Another tab may have sent what was marked in this one. */
async function learnWhatOthersSent(): Promise<void> {
  for (const [driveId, { unsent }] of Object.entries(store.getState().driveLogs.open)) {
    const ids = unsent.length > 0 ? await sentAmong(unsent).catch(() => []) : [];
    if (ids.length > 0) store.dispatch(eventsSent({ driveId, ids }));
  }
}

/** Drives with something to send: those this device has kept, and those open here even where it can keep nothing. */
async function waitingDrives(forSchool: string): Promise<readonly string[]> {
  const kept = await drivesToSend(forSchool).catch(() => []);
  const open = Object.values(store.getState().driveLogs.open)
    .filter(({ meta, unsent }) => meta.schoolId === forSchool && unsent.length > 0)
    .map(({ meta }) => meta.id);
  return [...new Set([...kept, ...open])];
}

/** What waits of a drive, in the order of the device. */
async function waitingEvents(driveId: string): Promise<readonly DriveEvent[]> {
  const open = store.getState().driveLogs.open[driveId];
  if (!open) return unsentEvents(driveId, mostEventsInABatch);
  const unsent = new Set(open.unsent);
  return open.events
    .filter(({ id }) => unsent.has(id))
    .sort((a, b) => a.seq - b.seq)
    .slice(0, mostEventsInABatch);
}

/** Sends one drive in order, batch by batch, and says what stopped it. */
async function sendDrive(driveId: string): Promise<SendTrouble | undefined> {
  for (;;) {
    const events = await waitingEvents(driveId);
    if (events.length === 0) return undefined;
    const open = store.getState().driveLogs.open[driveId];
    const request = { driveId, events, ...(open && { clockMs: driveNowMs(driveId) }) };
    const result = await store.dispatch(drivesApi.endpoints.sendEvents.initiate(request, { track: false }));
    if (!result.data) {
      const error = apiError(result.error);
      return !error || error.status === 0 || error.status >= 500 || error.status === 429
        ? { kind: 'unreachable' }
        : { kind: 'refused', message: error.message };
    }
    await markSent(result.data.accepted).catch(() => undefined);
    store.dispatch(eventsSent({ driveId, ids: result.data.accepted }));
  }
}
