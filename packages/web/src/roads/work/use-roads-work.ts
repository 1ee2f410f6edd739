import type { RouteStop } from '@jasperwren/core/routes/driving-route';
import type { FeatureStop } from '@jasperwren/core/routes/add-feature';
import type { FromTrack } from '@jasperwren/core/routes/from-track';
import type { AnyReading, RouteReading } from '@jasperwren/core/routes/read-route';
import type { RoadPlace } from '@jasperwren/core/places/passes';
import type { CallStyle } from '@jasperwren/roads/directions/calls';
import type { TraceReading } from '@jasperwren/core/traces/reading';
import type { Fix } from '@jasperwren/roads/traces/fix';
import type { Place } from '@jasperwren/roads/geometry';
import type { Reach } from '@jasperwren/roads/graph/reach';
import type { StoredRoads } from '@jasperwren/roads/source';
import { proxy } from 'comlink';
import type { Steps } from '../../base/work/follow';
import { useWork } from '../../base/work/use-work';
import { workersOf } from '../../base/work/workers';
import type { NewWay, NewWayQuestion, Packed, Planned, PlanQuestion, RoadsWork, SharedRoads } from './roads.worker';

/** Routes are read and planned by these. */
const roadsWorkers = workersOf<RoadsWork>(
  () => new Worker(new URL('./roads.worker.ts', import.meta.url), { type: 'module' }),
);

/** What is asked about some routes on the same roads. */
export interface ReadQuestion {
  readonly stored: StoredRoads | undefined;
  readonly style: CallStyle;
  /** Each at least two stops, or it is not read. */
  readonly routes: readonly (readonly RouteStop[])[];
}

/** Whether a route could be read at all. */
export const isRead = (reading: AnyReading | undefined): reading is RouteReading =>
  reading !== undefined && 'line' in reading;

interface ReadParts {
  readonly readings: readonly (AnyReading | undefined)[];
}

const readAll: Steps<RoadsWork, ReadQuestion, ReadParts> = async (work, { stored, routes, style }, tell) => {
  if (stored) await work.open(stored);
  const readings: (AnyReading | undefined)[] = [];
  for (const stops of routes) readings.push(stored && stops.length > 1 ? await work.read(stops, style) : undefined);
  tell({ readings });
};

/** Reads routes beside the page. The question stays the same object while the same is asked. */
export const useReadings = (question: ReadQuestion) => useWork(roadsWorkers, question, readAll);

interface PlanParts {
  readonly share: number;
  readonly planned: Planned;
}

const planAll: Steps<RoadsWork, PlanQuestion, PlanParts> = async (work, question, tell) => {
  await work.open(question.stored);
  tell({
    planned: await work.plan(
      question,
      proxy((share: number) => tell({ share })),
    ),
  });
};

/** Plans loops beside the page; what is not wanted any more ends. */
export const usePlan = (question: PlanQuestion) => useWork(roadsWorkers, question, planAll);

/** A track that is to become a route. */
export interface TrackQuestion {
  readonly stored: StoredRoads;
  readonly places: readonly Place[];
}

interface TrackParts {
  readonly found: FromTrack;
}

const trackAll: Steps<RoadsWork, TrackQuestion, TrackParts> = async (work, { stored, places }, tell) => {
  await work.open(stored);
  tell({ found: await work.track(places) });
};

/** Finds the stops along a track beside the page. */
export const useTrack = (question: TrackQuestion) => useWork(roadsWorkers, question, trackAll);

/** A place that is to be practised, from a start. */
export interface PracticeQuestion {
  readonly stored: StoredRoads;
  readonly place: RoadPlace;
  readonly start: Place;
}

interface PracticeParts {
  readonly stops: readonly RouteStop[] | 'none';
}

const practiceAll: Steps<RoadsWork, PracticeQuestion, PracticeParts> = async (work, { stored, place, start }, tell) => {
  await work.open(stored);
  tell({ stops: (await work.practice(place, start)) ?? 'none' });
};

/** Finds a loop that leads over a place, beside the page. */
export const usePractice = (question: PracticeQuestion) => useWork(roadsWorkers, question, practiceAll);

/** Fixes that are to be laid on roads. */
export interface MatchQuestion {
  readonly stored: StoredRoads;
  readonly fixes: readonly Fix[];
}

interface MatchParts {
  readonly reading: TraceReading;
}

const matchAll: Steps<RoadsWork, MatchQuestion, MatchParts> = async (work, { stored, fixes }, tell) => {
  await work.open(stored);
  tell({ reading: await work.match(fixes) });
};

/** Lays fixes on roads beside the page. */
export const useMatch = (question: MatchQuestion) => useWork(roadsWorkers, question, matchAll);

interface ReachParts {
  readonly reach: Reach;
}

const findReach: Steps<RoadsWork, StoredRoads, ReachParts> = async (work, stored, tell) => {
  await work.open(stored);
  tell({ reach: await work.reach() });
};

/** Finds what of the roads is hard to drive to. */
export const useReach = (stored: StoredRoads) => useWork(roadsWorkers, stored, findReach);

interface StretchParts {
  readonly lines: readonly (readonly (readonly [number, number])[])[];
}

/** Places whose stretches of road are asked for. */
export interface StretchQuestion {
  readonly stored: StoredRoads;
  readonly places: readonly Place[];
}

const findStretches: Steps<RoadsWork, StretchQuestion, StretchParts> = async (work, { stored, places }, tell) => {
  if (places.length === 0) return tell({ lines: [] });
  await work.open(stored);
  tell({ lines: await work.stretchesAt(places) });
};

/** Finds the stretches of road that places lie on. */
export const useStretches = (question: StretchQuestion) => useWork(roadsWorkers, question, findStretches);

interface PackedParts {
  /** Undefined where the route cannot be driven, or is not there yet. */
  readonly packed: Packed | undefined;
}

const packAll: Steps<RoadsWork, ReadQuestion, PackedParts> = async (work, { stored, routes, style }, tell) => {
  const [stops = []] = routes;
  if (!stored || stops.length < 2) return tell({ packed: undefined });
  await work.open(stored);
  tell({ packed: await work.pack(stops, style) });
};

/** Packs the first route with the roads near it, for the car. */
export const usePacked = (question: ReadQuestion) => useWork(roadsWorkers, question, packAll);

interface NewWayParts {
  readonly newWay: NewWay | 'none';
}

const findNewWay: Steps<RoadsWork, NewWayQuestion, NewWayParts> = async (work, { roads, ...question }, tell) => {
  await work.open(roads);
  tell({ newWay: (await work.newWay(question)) ?? 'none' });
};

/** Finds a new way beside the page. */
export const useNewWay = (question: NewWayQuestion) => useWork(roadsWorkers, question, findNewWay);

interface SharedParts {
  readonly shared: SharedRoads;
}

const sharedAll: Steps<RoadsWork, ReadQuestion, SharedParts> = async (work, { stored, routes, style }, tell) => {
  const [own = [], ...others] = routes;
  if (!stored || own.length < 2) return tell({ shared: { each: [], any: 0 } });
  await work.open(stored);
  tell({ shared: await work.shared(own, others, style) });
};

/** How much of the first route lies on each of the others. */
export const useShared = (question: ReadQuestion) => useWork(roadsWorkers, question, sharedAll);

interface BesideParts extends SharedParts {
  readonly adds: readonly FeatureStop[];
}

const besideAll: Steps<RoadsWork, ReadQuestion, BesideParts> = async (work, question, tell) => {
  tell({ adds: [] });
  await sharedAll(work, question, tell);
  const { stored, routes, style } = question;
  if (stored && (routes[0]?.length ?? 0) > 1) tell({ adds: await work.adds(routes[0]!, style) });
};

/** As `useShared`, and then the stops that bring in what the first route lacks. */
export const useBeside = (question: ReadQuestion) => useWork(roadsWorkers, question, besideAll);
