import { between } from '../routes/along-line';
import { whereAt, type TraceReading, type Whereabouts } from '../traces/reading';
import type { Pass } from './passes';

/** A fault is touched in after it happened: the junction passed within so many milliseconds before is where it was made. Common practice. */
const lateMs = 10_000;

/** Where something of a drive happened. */
export interface PlacedMoment extends Whereabouts {
  readonly pass?: Pass;
}

/**
 * Where a moment of a drive lies: the junction that was passed shortly before it, or is being driven, or else the road.
 * @param at milliseconds as in the trace
 * @returns undefined where the trace tells nothing of that moment
 */
export function placeMoment(reading: Pick<TraceReading, 'pieces' | 'noise'>, at: number): PlacedMoment | undefined {
  const where = whereAt(reading, at);
  if (!where) return undefined;
  const { passes, times } = reading.pieces[where.piece]!;
  const since = between(times, at - lateMs);
  const { metres } = where;
  const junctions = passes.filter(({ place }) => place.sort !== 'road');
  const pass =
    junctions.findLast(({ to }) => to >= since && to <= metres) ??
    junctions.find(({ from, to }) => from <= metres && metres <= to) ??
    passes.find(({ place, from, to }) => place.sort === 'road' && from <= metres && metres <= to);
  return { ...where, ...(pass && { pass }) };
}
