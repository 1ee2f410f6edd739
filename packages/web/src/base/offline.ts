import { registerSW } from 'virtual:pwa-register';
import { external } from './external';

/** As the service worker calls the answers of the server that it keeps for when there is no network. */
const answersCache = 'jasperwren-answers';

const waiting = external(false);
let take: () => void = () => undefined;

/** Lets the application open and run without a network. */
export function workOffline(): void {
  if (!('serviceWorker' in navigator)) return;
  const update = registerSW({
    onNeedRefresh: () => waiting.set(true),
  });
  take = () => void update(true);
}

/** Whether a newer version of the application waits, for React's external store. */
export const newVersion = {
  subscribe: waiting.subscribe,
  waits: waiting.now,
  /** Reloads every page of the application into the newer version. */
  take: () => take(),
};

/** Forgets what the server answered to whoever was signed in. */
export async function forgetAnswers(): Promise<void> {
  if (typeof caches !== 'undefined') await caches.delete(answersCache).catch(() => false);
  // Earlier releases noted the addresses of answers here, ids included.
  indexedDB.deleteDatabase('workbox-expiration');
}
