import type { FeatureKind } from '@jasperwren/roads/features/features';
import type { Place } from '@jasperwren/roads/geometry';
import { notesOn, type NoteOnRoute } from './notes-on-route';
import type { RouteReading } from './read-route';

/** What a driver speaks of on a commentary run. */
export const commentaryKinds = [
  'junction',
  'roundabout',
  'lights',
  'crossing',
  'limit',
  'school',
  'narrow',
  'parked',
  'view',
  'pull-up',
] as const;
/** Only an instructor beside can say whether they were there. */
export const unmapped: readonly CommentaryKind[] = ['parked', 'view', 'pull-up'];
export type CommentaryKind = (typeof commentaryKinds)[number];

/** Something a driver spoke of, and where. */
export interface Named {
  readonly kind: CommentaryKind;
  readonly metres: number;
}

/** Something to speak of that the route has. */
export interface ToName extends Named {
  /** Metres before it at which it was spoken of; nothing where it was not. */
  readonly before?: number;
}

export interface Commentary {
  readonly toName: readonly ToName[];
  /** What was spoken of besides. */
  readonly besides: readonly Named[];
  readonly notes: readonly NoteOnRoute[];
}

const spokenOf: Readonly<Partial<Record<FeatureKind, CommentaryKind>>> = {
  'give-way': 'junction',
  stop: 'junction',
  crossroads: 'junction',
  staggered: 'junction',
  'left-turn': 'junction',
  'right-turn': 'junction',
  signals: 'lights',
  'mini-roundabout': 'roundabout',
  'roundabout-left': 'roundabout',
  'roundabout-ahead': 'roundabout',
  'roundabout-right': 'roundabout',
  crossing: 'crossing',
  'limit-change': 'limit',
  school: 'school',
  narrow: 'narrow',
};

/** What stands this close together is one thing to speak of, in metres. */
const together = 40;
/** It is spoken of in time from so many metres before it on, to just past it. Common practice: about ten seconds in town. */
const ahead = 250;
const past = 5;

/** What a route has to speak of, in order. */
export function toNameOn({ features }: Pick<RouteReading, 'features'>): readonly Named[] {
  const all = features.flatMap(({ kind, metres }) => (spokenOf[kind] ? [{ kind: spokenOf[kind], metres }] : []));
  const found: Named[] = [];
  for (const one of all.sort((a, b) => a.metres - b.metres)) {
    const before = found.findLast(({ kind }) => kind === one.kind);
    if (!before || one.metres - before.metres > together) found.push(one);
  }
  return found;
}

/**
 * Holds what was spoken of against what the route has: each saying counts once, for the nearest thing of its kind ahead.
 * @param driven metres from and to which it was driven: what lies beyond was nobody's to name
 */
export function compareCommentary(
  reading: Pick<RouteReading, 'features' | 'line'>,
  named: readonly Named[],
  notes: readonly (Place & { readonly text: string })[],
  driven: { readonly from: number; readonly to: number },
): Commentary {
  const isDriven = ({ metres }: { readonly metres: number }) => metres >= driven.from && metres <= driven.to;
  const left = [...named].sort((a, b) => a.metres - b.metres);
  const toName = toNameOn(reading)
    .filter(isDriven)
    .map((one): ToName => {
      const at = left.findIndex(
        ({ kind, metres }) => kind === one.kind && metres >= one.metres - ahead && metres <= one.metres + past,
      );
      if (at < 0) return one;
      const [spoken] = left.splice(at, 1);
      return { ...one, before: Math.max(0, one.metres - spoken!.metres) };
    });
  return { toName, besides: left, notes: notesOn(reading, notes).filter(isDriven) };
}
