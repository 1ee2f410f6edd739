import type { FixPiece, TraceSource } from '@jasperwren/contract/traces';
import type { SentFix } from '@jasperwren/contract/sent-fix';
import { placesAlong, between } from '@jasperwren/core/routes/along-line';
import type { CarRoute } from '@jasperwren/core/routes/car-route';
import { t } from '@jasperwren/words/traces';
import { v7 as newId } from 'uuid';
import { laneOfTrace } from '../../base/device/lanes';
import { putInLine } from '../../base/outbox/entries';
import { store } from '../../base/store';
import { fixNoted, positionFailed } from './recording-slice';

/** Whose positions they are. */
export interface Target {
  readonly driveId: string;
  readonly owner: string;
}

/** So many positions travel together; what a reload loses is no more. */
const perPiece = 15;
/** No more than one position in so many milliseconds is kept. */
const everyMs = 900;

/** Puts positions in line to be sent, in pieces that survive a dead network and a reload. */
function collector({ driveId, owner }: Target, source: TraceSource) {
  let waiting: SentFix[] = [];
  let last = -Infinity;
  const flush = () => {
    if (waiting.length === 0) return;
    const body: FixPiece = { id: newId(), source, fixes: waiting };
    waiting = [];
    void putInLine({ id: body.id, owner, lane: laneOfTrace(driveId), body });
  };
  return {
    note(fix: SentFix) {
      if (fix[0] - last < everyMs) return;
      [last] = fix;
      waiting.push(fix);
      store.dispatch(fixNoted(driveId));
      if (waiting.length >= perPiece) flush();
    },
    flush,
  };
}

/** Keeps what has come so far whenever the page may go away. */
function onLeaving(flush: () => void): () => void {
  const hidden = () => document.visibilityState === 'hidden' && flush();
  document.addEventListener('visibilitychange', hidden);
  window.addEventListener('pagehide', flush);
  return () => {
    document.removeEventListener('visibilitychange', hidden);
    window.removeEventListener('pagehide', flush);
    flush();
  };
}

const degrees = (value: number) => Number(value.toFixed(6));

/** Notes where this device is, until the function it returns is called. */
export function recordDevice(target: Target): () => void {
  if (!('geolocation' in navigator)) {
    store.dispatch(positionFailed(t('noGeolocation')));
    return () => undefined;
  }
  const { note, flush } = collector(target, 'device');
  const left = onLeaving(flush);
  const watch = navigator.geolocation.watchPosition(
    ({ timestamp, coords: { latitude, longitude, accuracy, speed } }) =>
      note([
        Math.round(timestamp),
        degrees(latitude),
        degrees(longitude),
        Number.isFinite(accuracy) ? Math.min(99_999, Math.round(accuracy)) : -1,
        speed !== null && Number.isFinite(speed) ? Number(speed.toFixed(1)) : -1,
      ]),
    ({ message }) => store.dispatch(positionFailed(message)),
    { enableHighAccuracy: true, maximumAge: 1000 },
  );
  return () => {
    navigator.geolocation.clearWatch(watch);
    left();
  };
}

/** Positions wander by so many metres, the same for the same second. */
const wander = 4;
const metresPerDegree = 111_195;

/** Notes where a car would be that drives the route at its pace: a stand-in for a device. */
export function recordSimulated(target: Target, { line, pace }: CarRoute, secondsNow: () => number): () => void {
  const { note, flush } = collector(target, 'simulated');
  const left = onLeaving(flush);
  const at = placesAlong(line);
  const inverse = pace.map(([metres, second]) => [second, metres] as const);
  const timer = setInterval(() => {
    const second = secondsNow();
    const { lat, lon } = at(between(inverse, second));
    const [north, east] = [Math.sin(second * 0.7) * wander, Math.cos(second * 0.9) * wander];
    const lonMetres = metresPerDegree * Math.cos((lat * Math.PI) / 180);
    note([Date.now(), degrees(lat + north / metresPerDegree), degrees(lon + east / lonMetres), wander, -1]);
  }, 1000);
  return () => {
    clearInterval(timer);
    left();
  };
}
