import type { Point, Pose } from '@jasperwren/motion/geometry';
import { areaOf, type EdgeKind, type Layout, type Marker } from '@jasperwren/motion/layout/layout';

/** What of a layout is moved. */
export type Handle =
  | { readonly kind: 'marker'; readonly id: string }
  | { readonly kind: 'edge'; readonly id: string; readonly end: 'from' | 'to' }
  | { readonly kind: 'start' }
  | { readonly kind: 'goal' };

export const handleKey = (handle: Handle): string =>
  handle.kind === 'marker'
    ? `marker ${handle.id}`
    : handle.kind === 'edge'
      ? `edge ${handle.id} ${handle.end}`
      : handle.kind;

/** Everything of a layout that can be moved. */
export const handlesOf = ({ markers, edges, goal }: Layout): readonly Handle[] => [
  ...edges.flatMap(({ id }) => (['from', 'to'] as const).map((end): Handle => ({ kind: 'edge', id, end }))),
  ...markers.map(({ id }): Handle => ({ kind: 'marker', id })),
  { kind: 'start' },
  ...(goal.kind === 'poses' ? [{ kind: 'goal' } as const] : []),
];

/** Where a handle is; undefined where the layout no longer has it. */
export function placeOf({ markers, edges, start, goal }: Layout, handle: Handle): Point | Pose | undefined {
  switch (handle.kind) {
    case 'marker':
      return markers.find(({ id }) => id === handle.id);
    case 'edge':
      return edges.find(({ id }) => id === handle.id)?.[handle.end];
    case 'start':
      return start;
    default:
      return goal.kind === 'poses' ? goal.poses[0] : undefined;
  }
}

/** The ground between what stands there follows it. */
const around = (layout: Layout): Layout => ({ ...layout, area: areaOf(layout) });

/** The layout with a handle somewhere else; a pose may point elsewhere too. */
export function moved(layout: Layout, handle: Handle, to: Point & { readonly heading?: number }): Layout {
  const { x, y, heading } = to;
  const pose = (was: Pose): Pose => ({ x, y, heading: heading ?? was.heading });
  switch (handle.kind) {
    case 'marker':
      return around({
        ...layout,
        markers: layout.markers.map((marker) => (marker.id === handle.id ? { ...marker, x, y } : marker)),
      });
    case 'edge':
      return around({
        ...layout,
        edges: layout.edges.map((edge) => (edge.id === handle.id ? { ...edge, [handle.end]: { x, y } } : edge)),
      });
    case 'start':
      return around({ ...layout, start: pose(layout.start) });
    default: {
      if (layout.goal.kind !== 'poses') return layout;
      // A place to end that is moved has no bay around it any more, and no other one beside it.
      return around({ ...layout, goal: { kind: 'poses', poses: [pose(layout.goal.poses[0]!)] } });
    }
  }
}

/** The first letter, or number, that names nothing yet. */
function freeId({ markers, edges }: Layout, wanted: readonly string[]): string {
  const taken = new Set([...markers, ...edges].map(({ id }) => id));
  return wanted.find((id) => !taken.has(id)) ?? String(taken.size + 1);
}

const letters = [...'ABCDEFGHIJKLMNOPQRSTUVWXYZ'];
const numbered = (kind: string) => Array.from({ length: 200 }, (_, i) => `${kind} ${i + 1}`);

/** The layout with one thing more, in its middle, and what it is called. */
export function added(
  layout: Layout,
  kind: Marker['kind'] | EdgeKind,
): { readonly layout: Layout; readonly handle: Handle } {
  const { left, right, bottom, top } = layout.area;
  const middle = { x: Math.round((left + right) / 2), y: Math.round((bottom + top) / 2) };
  if (kind === 'cone' || kind === 'pole') {
    const id = freeId(layout, letters);
    return {
      layout: around({ ...layout, markers: [...layout.markers, { id, kind, ...middle }] }),
      handle: { kind: 'marker', id },
    };
  }
  const id = freeId(layout, numbered(kind));
  const edge = { id, kind, from: { x: middle.x - 1, y: middle.y }, to: { x: middle.x + 1, y: middle.y } };
  return { layout: around({ ...layout, edges: [...layout.edges, edge] }), handle: { kind: 'edge', id, end: 'to' } };
}

/** The layout without a thing; its start and its goal stay. */
export const removed = (layout: Layout, handle: Handle): Layout =>
  handle.kind === 'marker'
    ? around({ ...layout, markers: layout.markers.filter(({ id }) => id !== handle.id) })
    : handle.kind === 'edge'
      ? around({ ...layout, edges: layout.edges.filter(({ id }) => id !== handle.id) })
      : layout;

/** To the nearest five centimetres. */
export const snapped = (metres: number): number => Math.round(metres * 20) / 20;
