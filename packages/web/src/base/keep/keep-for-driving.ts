import type { DriveSummary } from '@jasperwren/contract/drives';
import type { RouteView } from '@jasperwren/contract/driving-routes';
import type { UpcomingLesson } from '@jasperwren/contract/lessons';
import { addressFor } from '../api';
import { keepStatus } from './keep-status';

/** Whose pages are kept: those with a lesson soon, so many at most. */
const soonMs = 2 * 24 * 3600 * 1000;
const mostLearners = 12;
/** Logs of drives that are still to be talked through, the newest. */
const mostDrives = 6;
/** A region's roads may weigh some megabytes. */
const mostRoads = 3;

/**
 * Asks the server for everything that driving without a network takes, so that the service worker keeps it: the learners,
 * standards, drives, lessons, questions and routes, with the pages of whoever has a lesson soon. The application itself it
 * kept when it was installed. It says how far it is in `keepStatus`.
 * @param ask gets an address; given in tests
 */
export async function keepForDriving(ask: (address: string) => Promise<Response> = fetch): Promise<void> {
  const workers = navigator.serviceWorker as ServiceWorkerContainer | undefined;
  if (!workers) return;
  await workers.ready;
  // Before it is in charge it sees no answer.
  if (!workers.controller)
    await new Promise((took) => workers.addEventListener('controllerchange', took, { once: true }));
  keepStatus.set({ state: 'keeping' });
  let whole = true;
  const get = async <T>(address: string): Promise<T | undefined> => {
    const answer = await ask(address).catch(() => undefined);
    if (!answer?.ok || answer.headers.has('x-kept')) {
      whole = false;
      return undefined;
    }
    return (await answer.json().catch(() => undefined)) as T | undefined;
  };
  const [lessons = [], drives = [], routes = []] = await Promise.all([
    get<readonly UpcomingLesson[]>(addressFor('upcomingLessons', {})),
    get<readonly DriveSummary[]>(addressFor('drives', {})),
    get<readonly RouteView[]>(addressFor('routes', {})),
    ...(
      [
        'session',
        'accounts',
        'learners',
        'standards',
        'checks',
        'schoolReadiness',
        'callTiming',
        'roadNotes',
        'phrases',
      ] as const
    ).map((name) => get(addressFor(name, {}))),
  ]);
  const soon = lessons.filter(({ start }) => Date.parse(start) < Date.now() + soonMs);
  const learners = [...new Set(soon.map(({ learnerId }) => learnerId))].slice(0, mostLearners);
  const roads = [...new Set(routes.map(({ roadsId }) => roadsId))].slice(0, mostRoads);
  const untold = drives.filter(({ phase, debriefed }) => phase !== 'ended' || !debriefed).slice(0, mostDrives);
  await Promise.all([
    ...learners.flatMap((learnerId) =>
      (['learner', 'learnerDrives', 'lessons', 'readiness', 'reviews', 'sheets'] as const).map((name) =>
        get(addressFor(name, { learnerId })),
      ),
    ),
    ...untold.map(({ id }) => get(addressFor('drive', { driveId: id }))),
    ...roads.map((roadsId) => get(addressFor('roadsOf', { roadsId }))),
  ]);
  keepStatus.set(whole ? { state: 'ready', at: Date.now() } : { state: 'incomplete' });
}
