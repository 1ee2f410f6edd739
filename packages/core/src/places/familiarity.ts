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

/** The key of the stretch an edge lies on: its ends by their nodes. */
export function stretchKey({ source, stretchNodes, stretchStart, edgeStretch }: RoadGraph, edge: number): string {
  const stretch = edgeStretch[edge]!;
  const ends = [stretchNodes[stretchStart[stretch]!]!, stretchNodes[stretchStart[stretch + 1]! - 1]!];
  return `${source.ids[ends[0]!]}-${source.ids[ends[1]!]}`;
}

/** The stretches a path leads over. */
export function drivenOn(graph: RoadGraph, paths: readonly Path[]): Driven {
  const driven: Record<string, number> = {};
  for (const { edges, start, end } of paths)
    edges.forEach((edge, i) => {
      const key = stretchKey(graph, edge);
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
  const knownAt = knowledgeAt(at, before);
  let known = 0;
  let whole = 0;
  for (const [key, metres] of Object.entries(driven)) {
    whole += metres;
    known += knownAt(key) * metres;
  }
  return whole > 0 ? known / whole : 0;
}

/** How well each stretch was known at a moment, from 0 to 1. */
function knowledgeAt(at: string, before: readonly DrivenAt[]): (key: string) => number {
  const now = Date.parse(at);
  return (key) => {
    let best = 0;
    for (const one of before) {
      const weeks = (now - Date.parse(one.at)) / weekMs;
      if (weeks > 0 && one.driven[key] !== undefined) best = Math.max(best, 0.5 ** (weeks / halfForgottenWeeks));
    }
    return best;
  };
}

/** How far back mock tests are asked whether they have traces. */
const askedWeeks = 12;

/**
 * Whether traces tell how well a learner knew the roads of a drive: at least half of their mock tests in the twelve weeks before it
 * have one. Otherwise what they say is too little, and what was said holds.
 * @param all when the learner's drives began, RFC 3339, traced or not
 * @param traced those with a trace
 */
export function tracesTell(at: string, all: readonly string[], traced: readonly string[]): boolean {
  const now = Date.parse(at);
  const before = (one: string) => Date.parse(one) < now && now - Date.parse(one) <= askedWeeks * weekMs;
  const withTrace = traced.filter(before).length;
  return withTrace > 0 && 2 * withTrace >= all.filter(before).length;
}

/** A stretch known at least so well is drawn as known. */
const drawnFrom = 0.5;

/**
 * Where along a piece of a drive its roads were known, in metres: driven within the last six weeks.
 * @param stretches keys from so many metres on
 * @param metres length of the piece
 */
export function knownSpans(
  stretches: readonly (readonly [from: number, key: string])[],
  metres: number,
  at: string,
  before: readonly DrivenAt[],
): readonly (readonly [from: number, to: number])[] {
  const knownAt = knowledgeAt(at, before);
  const spans: (readonly [number, number])[] = [];
  stretches.forEach(([from, key], i) => {
    if (knownAt(key) < drawnFrom) return;
    const to = stretches[i + 1]?.[0] ?? metres;
    const last = spans.at(-1);
    if (last && last[1] === from) spans[spans.length - 1] = [last[0], to];
    else spans.push([from, to]);
  });
  return spans;
}

/** The word for a share. */
export const familiarityWord = (share: number): Familiarity =>
  share >= knownFrom ? 'known' : share >= partlyFrom ? 'partly' : 'new';
