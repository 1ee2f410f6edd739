import type { DriveEvent } from '@jasperwren/core/drive/event';
import { store } from '../../base/store';
import { adoptClock } from './drive-clock';
import { eventsLearnt } from './drive-logs';

/** What one tab tells the others of this device. */
interface Telling {
  readonly driveId: string;
  readonly event: DriveEvent;
  /** The drive's clock at the telling, in milliseconds. */
  readonly nowMs: number;
}

const channelName = 'jasperwren.drives';
let channel: BroadcastChannel | undefined;

/** Hears what other tabs of this device mark, until the answer is called. */
export function listenToTabs(): () => void {
  if (typeof BroadcastChannel === 'undefined') return () => undefined;
  const opened = new BroadcastChannel(channelName);
  channel = opened;
  opened.onmessage = ({ data }: MessageEvent<Telling>) => {
    const { driveId, event, nowMs } = data;
    if (event.type === 'moved-off') adoptClock(driveId, nowMs);
    store.dispatch(eventsLearnt({ driveId, events: [event], onServer: false }));
  };
  return () => {
    opened.close();
    if (channel === opened) channel = undefined;
  };
}

/** Tells the other tabs of this device. */
export function tellTabs(telling: Telling): void {
  channel?.postMessage(telling);
}
