import fc from 'fast-check';
import { layOut } from '../layout/exercises';
import { vehicleClasses } from '../vehicle/classes';
import { driveBench, startBench, type BenchDrive, type Hands } from './bench';
import { atWay, sameHands } from './same-hands';

const { car, van } = vehicleClasses;
const layout = layOut({ code: 'bay-reverse', side: 'right', space: {} }, car);

function drive(hands: readonly Hands[]): readonly BenchDrive[] {
  const all = [startBench(car, layout)];
  for (const one of hands) for (let i = 0; i < 10; i++) all.push(driveBench(car, layout, all.at(-1)!, one, 50));
  return all;
}
const drove = drive([
  { roll: -1, turn: 0 },
  { roll: -1, turn: -1 },
  { roll: 0, turn: 1 },
  { roll: 1, turn: 0 },
]);

it('is the drive itself in the vehicle that drove', () => {
  sameHands(car, drove, car, layout.start).forEach(({ placed }, i) => {
    expect(placed.pose.x).toBeCloseTo(drove[i]!.placed.pose.x, 1);
    expect(placed.pose.y).toBeCloseTo(drove[i]!.placed.pose.y, 1);
    expect(placed.steerDeg).toBeCloseTo(drove[i]!.placed.steerDeg, 9);
  });
});

it('goes as far in another vehicle, and turns less where its circle is wider', () => {
  const ghost = sameHands(car, drove, van, layout.start);
  expect(ghost.at(-1)!.wayM).toBe(drove.at(-1)!.wayM);
  const turned = (heading: number) => Math.abs(heading - layout.start.heading);
  expect(turned(ghost.at(-1)!.placed.pose.heading)).toBeLessThan(turned(drove.at(-1)!.placed.pose.heading));
});

it('finds the last moment at or before a way', () => {
  fc.assert(
    fc.property(fc.array(fc.nat(50), { minLength: 1 }), fc.nat(60), (ways, wayM) => {
      const sorted = [0, ...ways].sort((a, b) => a - b).map((way) => ({ wayM: way }));
      expect(atWay(sorted, wayM).wayM).toBe(Math.max(...sorted.map((one) => one.wayM).filter((one) => one <= wayM)));
    }),
  );
});
