import { frontOf, rearBehindOf, reversedLengthOf, wholeLengthOf, type Vehicle } from '../vehicle/vehicle';
import { polyline, type Edge, type Layout, type Marker } from './layout';
import type { Space } from './space';

/** How far from the ends of the area the front of the vehicle stops, and its rear end stands. */
const [frontM, rearM] = [1, 0.5] as const;

/** How far from the barrier the stop line lies: half-way between the rear end and the last tyre, up to half a metre before the end. */
function stopLineOf({ trailer, rearOverhangM, tyreDiameterM }: Vehicle): number {
  const behindTyre = trailer ? trailer.bodyBehindM - trailer.tyreDiameterM / 2 : rearOverhangM - tyreDiameterM / 2;
  return rearM + Math.min(0.5, Math.max(0, behindTyre / 2));
}

/** What is usual for a vehicle, in metres: 66 by 11 m for a car with its trailer, more for what is longer. Common practice. */
export function usualReversingArea(vehicle: Vehicle): Space {
  const widest = Math.max(vehicle.widthM, vehicle.trailer?.widthM ?? 0);
  return {
    areaLongM: Math.max(66, Math.ceil(wholeLengthOf(vehicle) * 6)),
    areaWideM: Math.max(11, Math.ceil(widest * 5.5)),
    bayM: Math.round(widest * 1.5 * 10) / 10,
    depthM: Math.ceil(reversedLengthOf(vehicle) + 2),
  };
}

/**
 * An area to reverse in: from between two A markers at the far end, past a pole B half-way, into a bay of C markers on the other
 * half of the near end, over a line and short of a barrier. On the right of the vehicle.
 */
export function reversingAreaLayout(
  vehicle: Vehicle,
  { areaLongM, areaWideM, bayM, depthM }: Required<Space>,
): Omit<Layout, 'name'> {
  const [laneY, bayY] = [-areaWideM / 4, -(areaWideM * 3) / 4];
  const out = vehicle.mirrorWidthM / 2 + 0.5;
  const half = bayM / 2;
  const stopLineM = stopLineOf(vehicle);
  const cone = (id: string, x: number, y: number): Marker => ({ id, kind: 'cone', x, y });
  const edge = (id: string, y: number) =>
    polyline(id, 'line', [
      { x: 0, y },
      { x: areaLongM, y },
    ]);
  const across = (id: string, kind: 'line' | 'wall', x: number) =>
    polyline(id, kind, [
      { x, y: bayY - half },
      { x, y: bayY + half },
    ]);
  return {
    start: { x: areaLongM - frontM - frontOf(vehicle), y: laneY, heading: 0 },
    goal: { kind: 'poses', poses: [{ x: rearM + rearBehindOf(vehicle), y: bayY, heading: 0 }] },
    area: { left: -1, right: areaLongM + 3, bottom: -areaWideM - 1, top: 1 },
    markers: [
      cone('A1', areaLongM - frontM, laneY + out),
      cone('A2', areaLongM - frontM, laneY - out),
      { id: 'B', kind: 'pole', x: areaLongM / 2, y: -areaWideM / 2 },
      cone('C1', depthM, bayY + half),
      cone('C2', depthM, bayY - half),
      cone('C3', stopLineM, bayY + half),
      cone('C4', stopLineM, bayY - half),
    ],
    edges: [
      ...edge('left-edge', 0),
      ...edge('right-edge', -areaWideM),
      // The rear end has to be past it: only the body goes over it.
      ...across('stop-line', 'line', stopLineM),
      ...across('barrier-at-end', 'wall', 0),
    ],
  };
}

/** From the pole half-way to the edge of the lane that the vehicle came along: it goes back on the other side of the pole. */
export function reversingGate({ markers, start }: Pick<Layout, 'markers' | 'start'>): Edge {
  const { x, y } = markers.find(({ id }) => id === 'B')!;
  return { id: 'gate', kind: 'wall', from: { x, y: y + Math.sign(start.y - y) * 0.05 }, to: { x, y: 0 } };
}
