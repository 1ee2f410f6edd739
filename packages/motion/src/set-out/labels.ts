import { distanceBetween, type Point, type Polygon } from '../geometry';

/** A name beside its point, in the units of the drawing. */
export interface Label extends Point {
  readonly id: string;
  /** Whether the text begins there or ends there. */
  readonly anchor: 'start' | 'end';
}

/** How large the text is, how wide a letter is on the whole and how deep its tail, and how far from its point it stands, in millimetres. */
export const textMm = 3.2;
const [letterMm, tailMm, awayMm, markMm] = [0.62 * textMm, 0.22 * textMm, 1.4, 1] as const;

interface Box {
  readonly left: number;
  readonly right: number;
  readonly top: number;
  readonly bottom: number;
}

const overlap = (a: Box, b: Box): boolean =>
  a.left < b.right && b.left < a.right && a.top < b.bottom && b.top < a.bottom;

const crosses = ({ left, right, top, bottom }: Box, line: Polygon): boolean =>
  distanceBetween(
    [
      { x: left, y: top },
      { x: right, y: top },
      { x: right, y: bottom },
      { x: left, y: bottom },
    ],
    line,
  ) === 0;

/** Where text above or below a point, to its right or left, stands. */
const places = [
  ['start', -awayMm],
  ['start', awayMm + textMm * 0.75],
  ['end', -awayMm],
  ['end', awayMm + textMm * 0.75],
] as const;

/**
 * A place for the name of each point, on paper with y downwards: where it covers no other name and no other point if there
 * is one such place, and stands on no line if that can be had too.
 */
export function labelsFor(
  points: readonly (Point & { readonly id: string })[],
  lines: readonly Polygon[] = [],
): readonly Label[] {
  const marks = points.map(({ x, y }) => ({
    left: x - markMm,
    right: x + markMm,
    top: y - markMm,
    bottom: y + markMm,
  }));
  const taken: Box[] = [];
  return points.map(({ id, x, y }) => {
    const wide = id.length * letterMm;
    const tried = places.map(([anchor, down]) => {
      const label: Label = { id, anchor, x: x + (anchor === 'start' ? awayMm : -awayMm), y: y + down };
      const left = anchor === 'start' ? label.x : label.x - wide;
      const box = { left, right: left + wide, top: label.y - textMm * 0.75, bottom: label.y + tailMm };
      const covers = [...taken, ...marks].filter((other) => overlap(box, other)).length;
      return { label, box, covers, on: lines.filter((line) => crosses(box, line)).length };
    });
    const best = tried.reduce((least, one) =>
      one.covers < least.covers || (one.covers === least.covers && one.on < least.on) ? one : least,
    );
    taken.push(best.box);
    return best.label;
  });
}
