export type Tags = Readonly<Record<string, string>>;
export type Point = readonly [x: number, y: number];

export interface PlanNode {
  x: number;
  y: number;
  tags: Record<string, string>;
  /** Drawn as a ring of this radius in metres. */
  ring?: { readonly radius: number; readonly tags: Tags };
}

export interface PlanWay {
  nodes: number[];
  readonly tags: Tags;
}

/** Roads being planned, in metres east and north of the island's middle. */
export class Plan {
  readonly nodes: PlanNode[] = [];
  readonly ways: PlanWay[] = [];
  readonly restrictions: { readonly kind: string; readonly from: number; readonly via: number; readonly to: number }[] =
    [];
  private readonly segments: (readonly [a: Point, b: Point])[] = [];

  node([x, y]: Point, tags: Tags = {}): number {
    return this.nodes.push({ x, y, tags: { ...tags } }) - 1;
  }

  at(node: number): Point {
    const { x, y } = this.nodes[node]!;
    return [x, y];
  }

  way(nodes: readonly number[], tags: Tags): number {
    for (let i = 0; i + 1 < nodes.length; i++) this.segments.push([this.at(nodes[i]!), this.at(nodes[i + 1]!)]);
    return this.ways.push({ nodes: [...nodes], tags }) - 1;
  }

  /** Whether a line of points crosses or nearly touches a road, save at the points where it begins and ends. */
  isFree(line: readonly Point[], margin = 12): boolean {
    const ends = [line[0]!, line.at(-1)!];
    const touchesEnd = (p: Point) => ends.some((end) => distance(end, p) < near);
    for (let i = 0; i + 1 < line.length; i++)
      for (const [a, b] of this.segments) {
        if (isFarOff(line[i]!, line[i + 1]!, a, b, margin)) continue;
        if (touchesEnd(a) || touchesEnd(b)) {
          if (
            crosses(line[i]!, line[i + 1]!, a, b) &&
            ![a, b].some((p) => touchesEnd(p) && isEndOf(p, line[i]!, line[i + 1]!))
          )
            return false;
        } else if (crosses(line[i]!, line[i + 1]!, a, b) || apart(line[i]!, line[i + 1]!, a, b) < margin) return false;
      }
    return true;
  }
}

/** Signs stand this close to a junction, in metres: pieces that begin there count as pieces of it. */
const near = 12;

/** Whether two pieces are apart at a glance. */
const isFarOff = (a: Point, b: Point, c: Point, d: Point, margin: number) =>
  Math.max(a[0], b[0]) + margin < Math.min(c[0], d[0]) ||
  Math.max(c[0], d[0]) + margin < Math.min(a[0], b[0]) ||
  Math.max(a[1], b[1]) + margin < Math.min(c[1], d[1]) ||
  Math.max(c[1], d[1]) + margin < Math.min(a[1], b[1]);

const isEndOf = (p: Point, a: Point, b: Point) => distance(p, a) < near || distance(p, b) < near;

export const distance = ([ax, ay]: Point, [bx, by]: Point): number => Math.hypot(ax - bx, ay - by);

/** The point a share of the way from one to another, and so many metres to the left of it. */
export function between([ax, ay]: Point, [bx, by]: Point, share: number, left = 0): Point {
  const length = Math.hypot(bx - ax, by - ay) || 1;
  return [ax + (bx - ax) * share - ((by - ay) / length) * left, ay + (by - ay) * share + ((bx - ax) / length) * left];
}

function crosses(a: Point, b: Point, c: Point, d: Point): boolean {
  const turn = (p: Point, q: Point, r: Point) => (q[0] - p[0]) * (r[1] - p[1]) - (q[1] - p[1]) * (r[0] - p[0]);
  return turn(a, b, c) > 0 !== turn(a, b, d) > 0 && turn(c, d, a) > 0 !== turn(c, d, b) > 0;
}

/** The least distance between two pieces that do not cross. */
function apart(a: Point, b: Point, c: Point, d: Point): number {
  return Math.min(toPiece(a, c, d), toPiece(b, c, d), toPiece(c, a, b), toPiece(d, a, b));
}

function toPiece(p: Point, a: Point, b: Point): number {
  const length2 = (b[0] - a[0]) ** 2 + (b[1] - a[1]) ** 2;
  const t = length2 === 0 ? 0 : ((p[0] - a[0]) * (b[0] - a[0]) + (p[1] - a[1]) * (b[1] - a[1])) / length2;
  return distance(p, between(a, b, Math.max(0, Math.min(1, t))));
}
