import { exerciseCodes, layOut } from '../layout/exercises';
import { standing } from '../moves/roll';
import { vehicleClasses } from '../vehicle/classes';
import { offPlace } from './in-place';

const sides = ['left', 'right'] as const;
const grounds = Object.values(vehicleClasses).flatMap((vehicle) =>
  exerciseCodes.flatMap((code) =>
    sides.map((side) => [vehicle.kind, code, side, vehicle, layOut({ code, side, space: {} }, vehicle)] as const),
  ),
);

it.each(grounds)('%s, %s on the %s: stands as it should where the exercise ends', (_, __, ___, vehicle, layout) => {
  const { goal } = layout;
  if (goal.kind === 'heading') return;
  for (const pose of goal.poses) expect(offPlace(vehicle, standing(pose), layout)).toBeUndefined();
});

describe('a car in a bay', () => {
  const { car, van, 'car-with-trailer': towing } = vehicleClasses;
  const layout = layOut({ code: 'bay-reverse', side: 'right', space: {} }, car);
  const { goal } = layout;
  const [pose] = goal.kind === 'poses' ? goal.poses : [];
  const moved = (dx: number, dy: number, degrees = 0) =>
    offPlace(
      car,
      standing({ x: pose!.x + dx, y: pose!.y + dy, heading: pose!.heading + (degrees * Math.PI) / 180 }),
      layout,
    );

  it('may stand anywhere in it, and is out by what it is out', () => {
    const room = (goal.kind === 'poses' ? goal.bay!.widthM : 0) / 2 - car.widthM / 2;
    expect(moved(room - 0.01, 0)).toBeUndefined();
    // Looking into the bay, downwards, what is further to the right of the picture is on the left.
    expect(moved(room + 0.1, 0)).toEqual({ kind: 'left', metres: expect.closeTo(0.1, 6) as number });
    expect(moved(-room - 0.1, 0)).toEqual({ kind: 'right', metres: expect.closeTo(0.1, 6) as number });
    expect(moved(0, -0.5)).toMatchObject({ kind: 'end' });
    expect(moved(0, 3)).toMatchObject({ kind: 'mouth' });
  });

  it('may be askew by three degrees', () => {
    expect(moved(0, 0, 2.9)).toBeUndefined();
    expect(moved(0, 0, -4)).toEqual({ kind: 'turned', degrees: expect.closeTo(4, 6) as number });
  });

  it('counts the trailer alone where only that goes in, and a van beside the kerb though it stands out of the row', () => {
    const trailerBay = layOut({ code: 'bay-reverse', side: 'right', space: {} }, towing);
    const at = trailerBay.goal.kind === 'poses' ? trailerBay.goal.poses[0]! : undefined!;
    expect(offPlace(towing, standing({ ...at, x: at.x + 0.6 }), trailerBay)).toMatchObject({ kind: 'left' });
    expect(offPlace(towing, standing(at), trailerBay)).toBeUndefined();
    const row = layOut({ code: 'parallel', side: 'right', space: {} }, van);
    const beside = row.goal.kind === 'poses' ? row.goal.poses[0]! : undefined!;
    expect(offPlace(van, standing({ ...beside, y: beside.y + 0.3 }), row)).toMatchObject({ kind: 'mouth' });
  });
});
