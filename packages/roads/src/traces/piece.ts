import { metresBetween } from '../geometry';
import { edgeMetres, type RoadGraph } from '../graph/graph';
import type { Path } from '../route/router';
import type { Weights } from '../route/time-model';
import { timesAlong } from './along-piece';
import type { Fix } from './fix';
import { waySpread, type Candidate, type Laid } from './laid';
import { solve } from './lattice';
import { edgesTo, type ReachSearch } from './reach-search';

/** A piece of a trace that lies on roads without a break. Where the car turned round in the road a new one begins. */
export interface MatchedPiece {
  /** What was driven; its cost is the seconds the model expects. */
  readonly path: Path;
  /** For each edge of the path, how likely it is the right one, from 0 to 1. */
  readonly sure: readonly number[];
  /** Where the car was: milliseconds as in the fixes, and metres from the start of the path; neither ever falls. */
  readonly times: readonly (readonly [at: number, metres: number])[];
  /** How far beside the path fixes lie, in metres. */
  readonly away: readonly number[];
}

/** Ways through a gap longer than this, in milliseconds, are compared with another. */
const gapMs = 6000;
/** A way that is less likely than another that avoids it is still driven at most this much slower. */
const avoiding = 20;

interface Roads {
  readonly graph: RoadGraph;
  readonly time: Weights;
}

/** The likeliest way of a chain of fixes, with how sure each of its edges is. */
export function piecesOf(
  { graph, time }: Roads,
  search: ReachSearch,
  chain: readonly Laid[],
  fixes: readonly Fix[],
  noise: number,
): readonly MatchedPiece[] {
  const { row, probability, arcProbability } = solve(chain);
  const at = (i: number) => chain[i]!.candidates[row[i]!]!;
  const pieces: Open[] = [];
  let open = new Open(graph, at(0), probability(0, row[0]!), chain[0]!.fix.at);
  for (let i = 1; i < chain.length; i++) {
    const arc = chain[i]!.arcs.find(({ from, to }) => from === row[i - 1] && to === row[i])!;
    const chance = probability(i, row[i]!);
    if (arc.turned) {
      pieces.push(open);
      open = new Open(graph, at(i), chance, chain[i]!.fix.at);
      continue;
    }
    if (arc.reached) {
      const between = edgesTo(arc.reached);
      const driven = arcProbability(i, arc) * chanceOfWay(graph, search, chain, i, at(i - 1), at(i), between);
      between.forEach((edge, k) => open.enter(edge, k === between.length - 1 ? chance : driven));
    } else open.raise(chance);
    open.seen(at(i).offset, chain[i]!.fix.at);
  }
  pieces.push(open);
  return pieces.filter((one) => one.isDriven).map((one) => one.close(time, fixes, noise));
}

/** A piece that grows. */
class Open {
  private readonly edges: number[];
  private readonly sure: number[];
  private readonly seenAt: (readonly [at: number, metres: number])[];
  private readonly start: number;
  /** Metres from the beginning of the first edge to that of the last. */
  private begins = 0;

  constructor(
    private readonly graph: RoadGraph,
    { edge, offset }: Candidate,
    chance: number,
    atMs: number,
  ) {
    this.edges = [edge];
    this.sure = [chance];
    this.start = offset;
    this.seenAt = [[atMs, 0]];
  }

  private get metres(): number {
    return this.seenAt.at(-1)![1];
  }

  /** Less is within the noise of a car that stands. */
  get isDriven(): boolean {
    return this.edges.length > 1 || this.metres > 20;
  }

  enter(edge: number, chance: number): void {
    this.begins += edgeMetres(this.graph, this.edges.at(-1)!);
    this.edges.push(edge);
    this.sure.push(chance);
  }

  raise(chance: number): void {
    this.sure[this.sure.length - 1] = Math.max(this.sure.at(-1)!, chance);
  }

  seen(offset: number, atMs: number): void {
    this.seenAt.push([atMs, Math.max(this.metres, this.begins + offset - this.start)]);
  }

  close(time: Weights, fixes: readonly Fix[], noise: number): MatchedPiece {
    const { edges, start, metres, graph } = this;
    const cost = edges.reduce(
      (sum, edge, i) => sum + time.edge[edge]! + (i > 0 ? time.turn(edges[i - 1]!, edge) : 0),
      0,
    );
    const end = Math.min(edgeMetres(graph, edges.at(-1)!), Math.max(0, metres + start - this.begins));
    const path: Path = { edges, start, end, metres, cost };
    return { path, sure: this.sure, ...timesAlong(graph, path, this.seenAt, fixes, noise) };
  }
}

/** How likely a way through a gap is beside the next best one that avoids it. */
function chanceOfWay(
  graph: RoadGraph,
  search: ReachSearch,
  chain: readonly Laid[],
  i: number,
  from: Candidate,
  to: Candidate,
  between: readonly number[],
): number {
  const [before, after] = [chain[i - 1]!.fix, chain[i]!.fix];
  if (after.at - before.at < gapMs || between.length < 2) return 1;
  const own = new Set(between.slice(0, -1));
  const left = edgeMetres(graph, from.edge) - from.offset;
  const straight = metresBetween(before.lat, before.lon, after.lat, after.lon);
  const metresOf = (edges: readonly number[]) =>
    left + edges.slice(0, -1).reduce((sum, edge) => sum + edgeMetres(graph, edge), 0) + to.offset;
  const metres = metresOf(between);
  const other = search
    .from(from.state, left, 1.5 * metres + 100, (edge) => (own.has(edge) ? avoiding : 1))
    .get(to.state);
  const others = edgesTo(other);
  if (others.length === 0 || others.join() === between.join()) return 1;
  const weight = (length: number) => Math.exp(-Math.abs(length - straight) / waySpread(straight));
  const [a, b] = [weight(metres), weight(metresOf(others))];
  return a + b === 0 ? 0.5 : a / (a + b);
}
