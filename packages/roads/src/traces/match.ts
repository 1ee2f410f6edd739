import { metresBetween } from '../geometry';
import { edgeLimit, edgeMetres, type RoadGraph } from '../graph/graph';
import type { Finder, Snapped } from '../graph/snap';
import type { Weights } from '../route/time-model';
import type { Fix } from './fix';
import { bestBefore } from './lattice';
import { candidatesOn, placeOn, waySpread, type Candidate, type Driven, type Laid } from './laid';
import { piecesOf, type MatchedPiece } from './piece';
import { reachSearch, type Reached, type ReachSearch } from './reach-search';

/** Roads a trace can be laid on. */
export interface Matcher {
  readonly graph: RoadGraph;
  readonly finder: Finder;
  readonly time: Weights;
}

/** A trace laid on roads. */
export interface Match {
  readonly pieces: readonly MatchedPiece[];
  /** Times, in milliseconds, of what lies on no road one may drive. */
  readonly unmatched: readonly { readonly from: number; readonly to: number }[];
  /** How far fixes lie from the road, as the standard deviation in metres along each axis. */
  readonly noise: number;
}

/** Noise of a device is taken to be no less and no more than this, in metres. */
const leastNoise = 3;
const mostNoise = 30;
/** A road is looked for within so many times the noise, within these metres, and so many are kept. */
const reachOfNoise = 4;
const leastReach = 35;
const mostRoads = 8;
/** Turning round in the road: seldom, as the logarithm of its probability. */
const turnedRound = -14;
/** So much faster than the limits allow is taken for a mistake rather than for driving. */
const overLimits = 1.35;
/** A road this much less likely than the likeliest, as a logarithm, is given up. */
const hopelessBy = 30;
/** After so long without a fix that joins on, in milliseconds, a new piece begins; and after so many fixes beside all roads. */
const breakMs = 120_000;
const mostBeside = 3;

/**
 * Lays a trace on roads: of all ways over them that break no restriction, the one that fits the fixes best. A hidden Markov
 * model after P. Newson and J. Krumm (Hidden Markov map matching through noise and sparseness, 2009), with speeds.
 * @param fixes as `cleanFixes` gives them
 */
export function matchTrace(roads: Matcher, fixes: readonly Fix[]): Match {
  const noise = noiseOf(roads, fixes);
  const search = reachSearch(roads.graph, roads.time);
  const chains: Laid[][] = [];
  let chain: Laid[] = [];
  let best: readonly number[] = [];
  let beside = 0;
  const close = () => {
    if (chain.length > 1) chains.push(chain);
    chain = [];
  };
  for (const fix of thinnedByPlace(fixes, Math.max(10, 2 * noise))) {
    const ends = roads.finder.near(fix, Math.max(leastReach, reachOfNoise * noise), mostRoads);
    beside = ends.length === 0 ? beside + 1 : 0;
    if (beside >= mostBeside) close();
    if (ends.length === 0) continue;
    const before = chain.at(-1);
    if (before && fix.at - before.fix.at > breakMs + 1000) close();
    const first = chain.length === 0;
    const laid = first ? begin(roads, fix, ends, noise) : goOn(roads, search, before!, best, fix, ends, noise);
    if (laid) {
      best = first ? laid.seen : bestBefore(best, laid);
      chain.push(laid);
    } else if (fix.at - before!.fix.at > breakMs / 4) {
      // Nothing joins on for long: what follows is a piece of its own.
      close();
      const anew = begin(roads, fix, ends, noise);
      best = anew.seen;
      chain.push(anew);
    }
  }
  close();
  const pieces = chains.flatMap((one) => piecesOf(roads, search, one, fixes, noise));
  // Round the roads that were driven, not round the nearest ones.
  const away = pieces.flatMap((piece) => piece.away);
  return { pieces, unmatched: gapsBetween(pieces, fixes), noise: away.length > 20 ? spreadOf(away) : noise };
}

/** Standard deviation of the fixes round the roads, by the median of their distances, which a few far off do not move. */
function noiseOf({ finder }: Matcher, fixes: readonly Fix[]): number {
  const every = Math.max(1, Math.floor(fixes.length / 400));
  return spreadOf(
    fixes.filter((_, i) => i % every === 0).flatMap((fix) => finder.near(fix, 100).map((end) => end.away)),
  );
}

/** Standard deviation of distances to one side, each 0 or more. */
function spreadOf(away: readonly number[]): number {
  const sorted = away.toSorted((a, b) => a - b);
  const median = sorted[Math.floor(sorted.length / 2)] ?? leastNoise;
  return Math.min(mostNoise, Math.max(leastNoise, 1.4826 * median));
}

/** Fixes no nearer to each other than so many metres; those of a car that stands say nothing of its way. */
function thinnedByPlace(fixes: readonly Fix[], metres: number): readonly Fix[] {
  const kept: Fix[] = [];
  fixes.forEach((fix, i) => {
    const last = kept.at(-1);
    if (!last || metresBetween(last.lat, last.lon, fix.lat, fix.lon) >= metres || i === fixes.length - 1)
      kept.push(fix);
  });
  return kept;
}

const fit = (away: number, noise: number) => -0.5 * (away / noise) ** 2;

function begin({ graph }: Matcher, fix: Fix, ends: readonly Snapped[], noise: number): Laid {
  const found = ends.flatMap((end) => candidatesOn(graph, end).map((one) => ({ one, seen: fit(end.away, noise) })));
  return { fix, candidates: found.map(({ one }) => one), seen: found.map(({ seen }) => seen), arcs: [] };
}

/** Joins a fix to the one before it; undefined where no way leads from there to any of its roads. */
function goOn(
  { graph }: Matcher,
  search: ReachSearch,
  before: Laid,
  best: readonly number[],
  fix: Fix,
  ends: readonly Snapped[],
  noise: number,
): Laid | undefined {
  const straight = metresBetween(before.fix.lat, before.fix.lon, fix.lat, fix.lon);
  const seconds = (fix.at - before.fix.at) / 1000;
  const within = Math.min(45 * seconds + 200, 2 * straight + 250);
  const wanted = new Map(
    ends.flatMap((end) => candidatesOn(graph, end).map((one) => [one.edge, { ...one, away: end.away }] as const)),
  );
  const index = new Map<string, number>();
  const candidates: Candidate[] = [];
  const seen: number[] = [];
  const arcs: Driven[] = [];
  const arrive = (key: string, candidate: Candidate, away: number) => {
    const known = index.get(key);
    if (known !== undefined) return known;
    const at = candidates.push(candidate) - 1;
    index.set(key, at);
    seen.push(fit(away, noise));
    return at;
  };
  const join = (from: number, state: number, metres: number, least: number, reached?: Reached, turns = 0) => {
    const edge = search.edgeOf(state);
    const { offset, away } = wanted.get(edge)!;
    const wrong = Math.abs(metres - straight);
    const tooFast = Math.max(0, least / overLimits - seconds - 2);
    const weight = -wrong / waySpread(straight) - tooFast / 2 + turns * turnedRound;
    const to = arrive(`${state}`, { state, edge, offset }, away);
    arcs.push({ from, to, weight, reached, turned: turns > 0 && !reached });
  };
  const hopeless = Math.max(...best) - hopelessBy;
  before.candidates.forEach((candidate, from) => {
    if (best[from]! < hopeless) return;
    const { state, edge, offset } = candidate;
    const here = wanted.get(edge);
    if (here && here.offset >= offset)
      join(from, state, here.offset - offset, leastSeconds(graph, edge, here.offset - offset));
    // Noise sets a car back that stands or creeps.
    const [lat, lon] = placeOn(graph, edge, offset);
    const away = metresBetween(lat, lon, fix.lat, fix.lon);
    if (away < 5 * noise) {
      const to = arrive(`${state} ${offset.toFixed(2)}`, candidate, away);
      arcs.push({ from, to, weight: 0, reached: undefined, turned: false });
    }
    const back = graph.edgeBack[edge]!;
    const round = back >= 0 ? wanted.get(back) : undefined;
    if (round) join(from, back, Math.abs(edgeMetres(graph, edge) - offset - round.offset), 0, undefined, 1);
    const left = edgeMetres(graph, edge) - offset;
    if (left > within) return;
    for (const reached of search.from(state, left, within).values()) {
      const end = wanted.get(reached.edge);
      if (!end || (reached.edge === back && round)) continue;
      const least =
        leastSeconds(graph, edge, left) + leastOf(graph, reached) + leastSeconds(graph, reached.edge, end.offset);
      join(from, reached.state, reached.metres + end.offset, least, reached, turnsOf(graph, edge, reached));
    }
  });
  return candidates.length === 0 ? undefined : { fix, candidates, seen, arcs };
}

/** How often a way turns round at a dead end. */
function turnsOf({ edgeBack }: RoadGraph, first: number, reached: Reached): number {
  let turns = 0;
  for (let at: Reached | undefined = reached; at; at = at.before)
    if (edgeBack[at.before?.edge ?? first] === at.edge) turns++;
  return turns;
}

/** Seconds at the limit. */
const leastSeconds = (graph: RoadGraph, edge: number, metres: number) =>
  Math.max(0, metres) / (edgeLimit(graph, edge) / 3.6);

function leastOf(graph: RoadGraph, { before }: Reached): number {
  let seconds = 0;
  for (let at = before; at; at = at.before) seconds += leastSeconds(graph, at.edge, edgeMetres(graph, at.edge));
  return seconds;
}

/** What of a trace lies in no piece, in milliseconds. */
function gapsBetween(pieces: readonly MatchedPiece[], fixes: readonly Fix[]): Match['unmatched'] {
  const [first, last] = [fixes[0], fixes.at(-1)];
  if (!first || !last) return [];
  const found: { readonly from: number; readonly to: number }[] = [];
  let at = first.at;
  for (const { times } of pieces) {
    if (times[0]![0] - at > 3000) found.push({ from: at, to: times[0]![0] });
    at = times.at(-1)![0];
  }
  if (last.at - at > 3000) found.push({ from: at, to: last.at });
  return found;
}
