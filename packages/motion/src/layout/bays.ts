import { placed, toRadians, type Point, type Pose } from '../geometry';
import { leastRadius } from '../vehicle/turning';
import { frontOf, rearBehindOf, trailerBehindOf, type Vehicle } from '../vehicle/vehicle';
import { polyline, type Edge, type Layout, type Marker } from './layout';
import type { Space } from './space';

/** What a bay and the aisle before it measure, in metres. */
type BaySpace = Required<Pick<Space, 'bayM' | 'depthM' | 'aisleM'>>;

/** Metres between the vehicle and the mouths of the bays as it draws up, and short of the end of the bay as it parks. */
const drawnUpM = 1;
const endGapM = 0.3;
/** The edge of the aisle goes on beyond the ground that is driven on. */
const goesOnM = 8;
/** Metres between the inner rear wheel and the corner that it turns around. */
const besideCornerM = 0.25;

/**
 * A bay square to the aisle, on the right: its mouth around 0, its end below, the aisle above.
 * @param how reversed into, driven into, or a dock for a long vehicle with poles at its corners and a barrier at its end
 */
export function bayLayout(
  vehicle: Vehicle,
  { bayM, depthM, aisleM }: BaySpace,
  how: 'reverse' | 'forward' | 'dock',
): Omit<Layout, 'name'> {
  const half = bayM / 2;
  const behindM = trailerBehindOf(vehicle);
  const reach = leastRadius(vehicle) + frontOf(vehicle) + 2 * behindM + 2;
  const mouth = { x: 0, y: 0, heading: -Math.PI / 2 };
  const beside = drawnUpM + vehicle.widthM / 2;
  const radius = leastRadius(vehicle);
  // At full lock from here the inner rear wheel passes the corner of the bay.
  const inner = radius - vehicle.widthM / 2 - besideCornerM;
  const sink = Math.sqrt(Math.max(0, inner * inner - (radius - half) ** 2));
  const start: Pose =
    how === 'forward'
      ? {
          x: -(leastRadius(vehicle) + 2 + behindM),
          y: Math.max(beside, aisleM - 0.8 - vehicle.mirrorWidthM / 2),
          heading: 0,
        }
      : {
          // A trailer has to come past the bay as well, and to be brought to its angle.
          x: leastRadius(vehicle) + 1 + 1.4 * behindM,
          y: vehicle.trailer
            ? aisleM - 2 - vehicle.mirrorWidthM / 2
            : Math.min(Math.max(beside, radius - sink), aisleM - 0.3 - vehicle.mirrorWidthM / 2),
          heading: 0,
        };
  const goal: Pose =
    how === 'forward'
      ? { x: 0, y: -(depthM - endGapM - frontOf(vehicle)), heading: -Math.PI / 2 }
      : { x: 0, y: -(depthM - endGapM - rearBehindOf(vehicle)), heading: Math.PI / 2 };
  const corners: readonly Point[] = [
    { x: -half, y: 0 },
    { x: half, y: 0 },
    { x: half, y: -depthM },
    { x: -half, y: -depthM },
  ];
  return {
    start,
    goal: { kind: 'poses', poses: [goal], bay: { mouth, widthM: bayM, depthM } },
    area: { left: -reach, right: reach, bottom: -depthM - 0.5, top: aisleM },
    markers: cornerMarkers(mouth, corners, how === 'dock' ? 'pole' : 'cone'),
    edges: [
      ...(how === 'dock' ? [] : neighbourLines(bayM, depthM)),
      ...polyline('left-line', 'line', [corners[0]!, corners[3]!]),
      ...polyline('right-line', 'line', [corners[1]!, corners[2]!]),
      ...polyline('end-line', how === 'dock' ? 'wall' : 'line', [corners[3]!, corners[2]!]),
      ...polyline('aisle-edge', how === 'dock' ? 'line' : 'kerb', [
        { x: -reach - goesOnM, y: aisleM },
        { x: reach + goesOnM, y: aisleM },
      ]),
    ],
  };
}

/** A bay at 60 degrees to the aisle, driven into forwards; common practice of timed yards. */
export function angleBayLayout(vehicle: Vehicle, { bayM, depthM, aisleM }: BaySpace): Omit<Layout, 'name'> {
  const heading = -toRadians(60);
  const mouth: Pose = { x: 0, y: 0, heading };
  const behindM = trailerBehindOf(vehicle);
  const reach = leastRadius(vehicle) + frontOf(vehicle) + 2 * behindM + 2;
  const half = bayM / 2;
  /** Where a side of the bay, so many metres to its left, meets the aisle. */
  const atAisle = (left: number): Point => ({ x: left / Math.sin(toRadians(60)), y: 0 });
  const far = (left: number): Point => placed(mouth, { x: depthM, y: left });
  const corners = [atAisle(half), far(half), far(-half), atAisle(-half)] as const;
  return {
    start: {
      x: -(leastRadius(vehicle) + 2 + behindM),
      y: Math.max(drawnUpM + vehicle.widthM / 2, aisleM - 0.8 - vehicle.mirrorWidthM / 2),
      heading: 0,
    },
    goal: {
      kind: 'poses',
      poses: [{ ...placed(mouth, { x: depthM - endGapM - frontOf(vehicle), y: 0 }), heading }],
      bay: { mouth, widthM: bayM, depthM },
    },
    area: { left: -reach, right: reach, bottom: Math.min(far(half).y, far(-half).y) - 0.5, top: aisleM },
    markers: cornerMarkers(mouth, corners, 'cone'),
    edges: [
      ...polyline('left-line', 'line', [corners[0], corners[1]]),
      ...polyline('right-line', 'line', [corners[3], corners[2]]),
      ...polyline('end-line', 'line', [corners[1], corners[2]]),
      ...polyline('aisle-edge', 'kerb', [
        { x: -reach - goesOnM, y: aisleM },
        { x: reach + goesOnM, y: aisleM },
      ]),
    ],
  };
}

/** Metres from the middle of a cone or pole to the line that it marks: its foot does not stand in the bay. */
const outsideM = 0.15;

/**
 * A marker just outside each corner of a bay, off its sides by the same whatever their angle: at the aisle along it, at the
 * end square to them.
 * @param corners two of one side and two of the other, those at the aisle first and last or first and second
 */
function cornerMarkers(mouth: Pose, corners: readonly Point[], kind: Marker['kind']): readonly Marker[] {
  const [sin, cos] = [Math.sin(mouth.heading), Math.cos(mouth.heading)];
  return corners.map((corner, i) => {
    const left = (corner.y - mouth.y) * cos - (corner.x - mouth.x) * sin > 0 ? outsideM : -outsideM;
    const atAisle = Math.abs(corner.y - mouth.y) < 1e-9;
    const [dx, dy] = atAisle ? [left / -sin, 0] : [-left * sin, left * cos];
    return { id: 'ABCD'[i]!, kind, x: corner.x + dx, y: corner.y + dy };
  });
}

function neighbourLines(bayM: number, depthM: number): readonly Edge[] {
  return [-1.5, 1.5].flatMap((bays) =>
    polyline(bays < 0 ? 'bay-before' : 'bay-after', 'line', [
      { x: bays * bayM, y: 0 },
      { x: bays * bayM, y: -depthM },
    ]),
  );
}
