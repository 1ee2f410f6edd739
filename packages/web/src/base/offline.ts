import { registerSW } from 'virtual:pwa-register';

/** As the service worker calls the answers of the server that it keeps for when there is no network. */
const answersCache = 'jasperwren-answers';

let ready = false;
let take: () => void = () => undefined;
const listeners = new Set<() => void>();

/** Lets the application open and run without a network. */
export function workOffline(): void {
  if (!('serviceWorker' in navigator)) return;
  const update = registerSW({
    onNeedRefresh: () => {
      ready = true;
      listeners.forEach((listener) => listener());
    },
  });
  take = () => void update(true);
}

/** Whether a newer version of the application waits, for React's external store. */
export const newVersion = {
  subscribe: (listener: () => void) => {
    listeners.add(listener);
    return () => void listeners.delete(listener);
  },
  waits: () => ready,
  /** Reloads every page of the application into the newer version. */
  take: () => take(),
};

/** Forgets what the server answered to whoever was signed in. */
export async function forgetAnswers(): Promise<void> {
  if (typeof caches !== 'undefined') await caches.delete(answersCache).catch(() => false);
  // Earlier releases noted the addresses of answers here, ids included.
  indexedDB.deleteDatabase('workbox-expiration');
}
