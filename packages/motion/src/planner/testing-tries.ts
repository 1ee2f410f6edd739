import { toRadians } from '../geometry';
import { layOut } from '../layout/exercises';
import { wheelAngles } from '../vehicle/turning';
import type { Vehicle } from '../vehicle/vehicle';

const { abs, cos, PI, round, sin, tan } = Math;

/**
 * The least movements for turning round between two kerbs, found by trying everything: every state of a grid
 * over the road is visited, movement by movement.
 * Shares nothing with the planner but the measures of the vehicle.
 */
export function leastMovementsByTrying(vehicle: Vehicle, widthM: number, clearanceM: number): number | null {
  const [cellX, cellY, cellDeg, stepM, runs] = [0.35, 0.1, 2.5, 0.1, 12];
  const rows = Math.ceil(widthM / cellY) + 2;
  const { area, start } = layOut({ code: 'turn-in-road', side: 'right', space: { roadM: widthM } }, vehicle);
  const columns = Math.ceil((area.right - area.left) / cellX) + 2;
  const corners = (steerDeg: number) => {
    const { left, right } = wheelAngles(vehicle, steerDeg);
    const [half, r, w] = [vehicle.trackM / 2, vehicle.tyreDiameterM / 2, vehicle.tyreWidthM / 2];
    return [
      [vehicle.wheelbaseM, half, left],
      [vehicle.wheelbaseM, -half, right],
      [0, half, 0],
      [0, -half, 0],
    ].flatMap(([ahead, out, turned]) =>
      [1, -1].flatMap((a) =>
        [1, -1].map((b) => {
          const angle = toRadians(turned!);
          return [
            ahead! + a * r * Math.cos(angle) - b * w * Math.sin(angle),
            out! + a * r * Math.sin(angle) + b * w * Math.cos(angle),
          ] as const;
        }),
      ),
    );
  };
  const steers = [-1, 0, 1].map((share) => share * vehicle.lockDeg);
  const shapes = steers.map(corners);
  const free = (y: number, heading: number, steer: number) => {
    const [sine, cosine] = [sin(heading), cos(heading)];
    return shapes[steer]!.every(([ahead, left]) => {
      const across = y + ahead * sine + left * cosine;
      return across >= clearanceM && across <= widthM - clearanceM;
    });
  };
  const turns = 360 / cellDeg;
  const key = (x: number, y: number, heading: number, back: boolean) => {
    const turn = ((round((heading * 180) / PI / cellDeg) % turns) + turns) % turns;
    return ((round((x - area.left) / cellX) * rows + round(y / cellY)) * turns + turn) * 2 + (back ? 1 : 0);
  };
  const seen = new Uint8Array(columns * rows * turns * 2);
  type State = readonly [x: number, y: number, heading: number, back: boolean];
  let rim: State[] = [
    [start.x, start.y, 0, false],
    [start.x, start.y, 0, true],
  ];
  for (let movements = 1; movements <= 9; movements++) {
    const [stack, next]: [State[], State[]] = [[], []];
    const add = (state: State) => {
      if (seen[key(...state)]) return;
      seen[key(...state)] = 1;
      stack.push(state);
    };
    rim.forEach(add);
    for (let state = stack.pop(); state; state = stack.pop()) {
      const [fromX, fromY, fromHeading, back] = state;
      next.push([fromX, fromY, fromHeading, !back]);
      const ds = back ? -stepM : stepM;
      for (const [steer, steerDeg] of steers.entries()) {
        const turned = (ds * tan(toRadians(steerDeg))) / vehicle.wheelbaseM;
        let [x, y, heading] = [fromX, fromY, fromHeading];
        // Further than the next cell: a small step may end in the cell that it began in.
        for (let run = 0; run < runs; run++) {
          x += ds * cos(heading + turned / 2);
          y += ds * sin(heading + turned / 2);
          heading += turned;
          if (x < area.left || x > area.right || !free(y, heading, steer)) break;
          if (abs(heading) >= PI) return movements;
          add([x, y, heading, back]);
        }
      }
    }
    rim = next;
  }
  return null;
}
