import { edgeMetres, type RoadGraph } from '@jasperwren/roads/graph/graph';
import type { Path } from '@jasperwren/roads/route/router';
import type { Familiarity } from '../drive/event';

/** Metres driven on each stretch of road, by a key that is the same in every version of the roads that keeps its nodes. */
export type Driven = Readonly<Record<string, number>>;

/** A drive with what it led over. */
export interface DrivenAt {
  /** RFC 3339. */
  readonly at: string;
  readonly driven: Driven;
}

/** After so many weeks a road is half forgotten. Common practice. */
export const halfForgottenWeeks = 6;
const weekMs = 7 * 24 * 60 * 60 * 1000;
/** From these shares on the roads of a drive are called partly known, and known. Common practice. */
const partlyFrom = 0.25;
const knownFrom = 0.65;

/** The stretches a path leads over. */
export function drivenOn(graph: RoadGraph, paths: readonly Path[]): Driven {
  const { source, stretchNodes, stretchStart, edgeStretch } = graph;
  const driven: Record<string, number> = {};
  for (const { edges, start, end } of paths)
    edges.forEach((edge, i) => {
      const stretch = edgeStretch[edge]!;
      const ends = [stretchNodes[stretchStart[stretch]!]!, stretchNodes[stretchStart[stretch + 1]! - 1]!];
      const key = `${source.ids[ends[0]!]}-${source.ids[ends[1]!]}`;
      const to = i === edges.length - 1 ? end : edgeMetres(graph, edge);
      driven[key] = (driven[key] ?? 0) + Math.max(0, to - (i === 0 ? start : 0));
    });
  return driven;
}

/**
 * How well a learner knew the roads of a drive, from 0 to 1: the share of its length that they had driven before, each stretch
 * counting half once its last drive lies six weeks back, and so on.
 * @param before other drives of the learner, in any order; those that are not before it do not count
 */
export function familiarityOf({ at, driven }: DrivenAt, before: readonly DrivenAt[]): number {
  const now = Date.parse(at);
  let known = 0;
  let whole = 0;
  for (const [key, metres] of Object.entries(driven)) {
    whole += metres;
    let best = 0;
    for (const one of before) {
      const weeks = (now - Date.parse(one.at)) / weekMs;
      if (weeks > 0 && one.driven[key] !== undefined) best = Math.max(best, 0.5 ** (weeks / halfForgottenWeeks));
    }
    known += best * metres;
  }
  return whole > 0 ? known / whole : 0;
}

/** The word for a share. */
export const familiarityWord = (share: number): Familiarity =>
  share >= knownFrom ? 'known' : share >= partlyFrom ? 'partly' : 'new';
