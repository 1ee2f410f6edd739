import type { Point } from '../geometry';
import { leastRadius } from '../vehicle/turning';
import { frontOf, rearBehindOf, trailerBehindOf, wholeLengthOf, type Vehicle } from '../vehicle/vehicle';
import { polyline, type Edge, type Layout } from './layout';
import type { Space } from './space';

/** Metres from the kerb as a vehicle draws up. */
const fromKerbM = 0.4;
/** A parked car: its length and width, and how far from the kerb it stands. Common practice. */
const parked = { lengthM: 4.2, widthM: 1.8, fromKerbM: 0.2 } as const;

type Laid = Omit<Layout, 'name'>;

/** The kerbs on both sides of a road, so far to either end. */
const kerbs = (reach: number, roadM: number): readonly Edge[] =>
  [0, roadM].flatMap((y) =>
    polyline(y === 0 ? 'near-kerb' : 'far-kerb', 'kerb', [
      { x: -reach, y },
      { x: reach, y },
    ]),
  );

/** A road between two kerbs, to be turned round on. */
export function turnLayout(vehicle: Vehicle, { roadM }: Required<Space>): Laid {
  const length = wholeLengthOf(vehicle);
  const reach = length * 2 + leastRadius(vehicle) + 8;
  return {
    start: { x: 0, y: fromKerbM + vehicle.widthM / 2, heading: 0 },
    goal: { kind: 'heading', heading: Math.PI },
    // A turn in the road, not a drive along it to the other side and back.
    area: { left: -length, right: leastRadius(vehicle) + length, bottom: -0.5, top: roadM + 0.5 },
    markers: [],
    edges: [...kerbs(reach, roadM)],
  };
}

/** A gap between two parked cars at the kerb on the right. */
export function parallelLayout(vehicle: Vehicle, { gapM, roadM }: Required<Space>): Laid {
  const startX = gapM / 2 + rearBehindOf(vehicle) + 0.6;
  const reach = Math.max(gapM / 2 + parked.lengthM, startX) + 2;
  const length = wholeLengthOf(vehicle);
  const outer = parked.fromKerbM + parked.widthM;
  const box = (id: string, left: number) =>
    polyline(id, 'wall', [
      { x: left, y: parked.fromKerbM },
      { x: left + parked.lengthM, y: parked.fromKerbM },
      { x: left + parked.lengthM, y: outer },
      { x: left, y: outer },
      { x: left, y: parked.fromKerbM },
    ]);
  return {
    start: { x: startX, y: outer + 0.8 + vehicle.widthM / 2, heading: 0 },
    goal: {
      kind: 'poses',
      poses: [{ x: rearBehindOf(vehicle) - length / 2, y: 0.25 + vehicle.widthM / 2, heading: 0 }],
      bay: { mouth: { x: 0, y: outer, heading: -Math.PI / 2 }, widthM: gapM, depthM: outer },
    },
    area: { left: -reach, right: reach, bottom: -0.5, top: roadM },
    markers: [],
    edges: [...box('car-behind', -gapM / 2 - parked.lengthM), ...box('car-ahead', gapM / 2), ...kerbs(reach, roadM)],
  };
}

/** A side road on the right, to be reversed into around its corner. */
export function cornerLayout(vehicle: Vehicle, { roadM, sideRoadM, cornerM }: Required<Space>): Laid {
  const deep = cornerM + wholeLengthOf(vehicle) * 2.2;
  const reach = cornerM + wholeLengthOf(vehicle) * 2;
  const corner = (x: number, turn: 1 | -1): readonly Point[] =>
    Array.from({ length: 9 }, (_, i) => {
      const angle = (Math.PI / 2) * (i / 8);
      return { x: x + turn * cornerM * (1 - Math.sin(angle)), y: -cornerM * (1 - Math.cos(angle)) };
    });
  const fromKerb = 0.5 + vehicle.widthM / 2;
  return {
    start: { x: cornerM + 1.5 + 1.1 * trailerBehindOf(vehicle), y: fromKerb, heading: 0 },
    goal: {
      kind: 'poses',
      poses: [{ x: -fromKerb, y: -deep + rearBehindOf(vehicle) + 1.5, heading: Math.PI / 2 }],
    },
    area: { left: -sideRoadM - cornerM - 4, right: reach, bottom: -deep, top: roadM },
    markers: [],
    edges: [
      ...polyline('near-kerb', 'kerb', [{ x: reach, y: 0 }, ...corner(0, 1), { x: 0, y: -deep }]),
      ...polyline('other-kerb', 'kerb', [
        { x: -sideRoadM - cornerM - 4, y: 0 },
        ...corner(-sideRoadM, -1),
        { x: -sideRoadM, y: -deep },
      ]),
      ...polyline('far-kerb', 'kerb', [
        { x: -sideRoadM - cornerM - 4, y: roadM },
        { x: reach, y: roadM },
      ]),
    ],
  };
}

/** A lane to reverse along in a straight line. */
export function straightLayout(vehicle: Vehicle, { laneM, lengthM }: Required<Space>): Laid {
  const [left, right] = [-lengthM - rearBehindOf(vehicle) - 2, frontOf(vehicle) + 2];
  const cone = (id: string, x: number, y: number) => ({ id, kind: 'cone' as const, x, y });
  const out = laneM / 2 + 0.2;
  return {
    start: { x: 0, y: 0, heading: 0 },
    goal: { kind: 'poses', poses: [{ x: -lengthM, y: 0, heading: 0 }] },
    area: { left, right, bottom: -laneM / 2 - 1, top: laneM / 2 + 1 },
    markers: [
      cone('A', frontOf(vehicle), -out),
      cone('B', frontOf(vehicle), out),
      cone('C', -lengthM - rearBehindOf(vehicle), out),
      cone('D', -lengthM - rearBehindOf(vehicle), -out),
    ],
    edges: [
      ...polyline('right-line', 'line', [
        { x: left, y: -laneM / 2 },
        { x: right, y: -laneM / 2 },
      ]),
      ...polyline('left-line', 'line', [
        { x: left, y: laneM / 2 },
        { x: right, y: laneM / 2 },
      ]),
    ],
  };
}
