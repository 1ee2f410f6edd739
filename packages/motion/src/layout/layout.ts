import { areaAround, rectangle, type Area, type Point, type Polygon, type Pose } from '../geometry';

/** What stands on the ground: a cone or pole, with the radius of its foot in metres. */
export interface Marker extends Point {
  readonly id: string;
  readonly kind: 'cone' | 'pole';
}

/** Lines are touched by tyres; a kerb is not mounted, a body may hang over it; a wall, and a parked car, are touched by nothing. */
export const edgeKinds = ['line', 'kerb', 'wall'] as const;
export type EdgeKind = (typeof edgeKinds)[number];

export interface Edge {
  readonly id: string;
  readonly kind: EdgeKind;
  readonly from: Point;
  readonly to: Point;
}

/** A place to set up and drive an exercise. */
export interface Layout {
  readonly name: string;
  readonly markers: readonly Marker[];
  readonly edges: readonly Edge[];
  /** Where the vehicle begins. */
  readonly start: Pose;
  readonly goal: Goal;
  /** The space it takes up. */
  readonly area: Area;
}

/** Where an exercise ends: at one of several poses, or pointing somewhere, wherever that is. */
export type Goal =
  | { readonly kind: 'poses'; readonly poses: readonly Pose[]; readonly bay?: Bay }
  | { readonly kind: 'heading'; readonly heading: number };

/** A rectangle to park in: the middle of its open end, pointing in. */
export interface Bay {
  readonly mouth: Pose;
  readonly widthM: number;
  readonly depthM: number;
}

/** The radius of the foot of a marker, in metres, and the width of a painted line. Common practice. */
export const markerRadiusM = { cone: 0.14, pole: 0.04 } as const;
export const lineWidthM = 0.1;
/** How high above the ground the top of a marker is, in metres. Common practice. */
export const markerHeightM = { cone: 0.45, pole: 1 } as const;
/** How high what stands on the ground is, in metres; a parked car as high as its windows. Common practice. */
export const edgeHeightM = { line: 0, kerb: 0.12, wall: 1.1 } as const;

/** The ground that an edge covers. A kerb and a wall are lines of no width: the side that matters is where it is set. */
export function groundOf({ kind, from, to }: Edge): Polygon {
  if (kind !== 'line') return [from, to];
  const heading = Math.atan2(to.y - from.y, to.x - from.x);
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  return rectangle({ ...from, heading }, 0, length, -lineWidthM / 2, lineWidthM / 2);
}

/** The edges between points in their order. */
export const polyline = (id: string, kind: EdgeKind, points: readonly Point[]): readonly Edge[] =>
  points.slice(1).map((to, i) => ({ id: points.length > 2 ? `${id}-${i + 1}` : id, kind, from: points[i]!, to }));

/** How far around its things a layout reaches, in metres, where nothing says it. */
const aroundM = 3;

/** The space that a layout takes up: its things, its start and its goal, with some room around them. */
export function areaOf({ markers, edges, start, goal }: Pick<Layout, 'markers' | 'edges' | 'start' | 'goal'>): Area {
  const { left, right, bottom, top } = areaAround([
    ...markers,
    ...edges.flatMap(({ from, to }) => [from, to]),
    start,
    ...(goal.kind === 'poses' ? goal.poses : []),
  ]);
  return { left: left - aroundM, right: right + aroundM, bottom: bottom - aroundM, top: top + aroundM };
}

const mirrorPoint = <P extends Point>(point: P): P => ({ ...point, y: 0 - point.y });
const mirrorPose = (pose: Pose): Pose => ({ ...pose, y: 0 - pose.y, heading: 0 - pose.heading });

/** The same layout for the other side, mirrored along x. */
export function mirrored(layout: Layout): Layout {
  const { goal, area } = layout;
  return {
    ...layout,
    markers: layout.markers.map(mirrorPoint),
    edges: layout.edges.map((edge) => ({ ...edge, from: mirrorPoint(edge.from), to: mirrorPoint(edge.to) })),
    start: mirrorPose(layout.start),
    goal:
      goal.kind === 'heading'
        ? { ...goal, heading: 0 - goal.heading }
        : {
            ...goal,
            poses: goal.poses.map(mirrorPose),
            ...(goal.bay && { bay: { ...goal.bay, mouth: mirrorPose(goal.bay.mouth) } }),
          },
    area: { ...area, bottom: -area.top, top: -area.bottom },
  };
}
