import { mirrored } from '../layout/layout';
import { vehicleClasses } from '../vehicle/classes';
import { here, poles } from './testing-poles';
import { mirrorView, seenInMirror } from './door-mirror';
import { eyeView } from './eye-view';

const { car, rigid } = vehicleClasses;
const trailed = vehicleClasses['car-with-trailer'];

it('shows in each mirror what is behind on that side, and hides what the vehicle stands before', () => {
  const layout = poles([-6, 1.8], [-6, -1.8], [6, 2], [-8, 0]);
  expect(seenInMirror(car, here, layout, 'left')).toEqual(['A']);
  expect(seenInMirror(car, here, layout, 'right')).toEqual(['B']);
});

it('shows the same to the other side where the driver sits in the middle', () => {
  const middle = { ...rigid, eyeLeftM: 0 };
  const layout = poles([-6, 2.1], [-9, 3.2], [-4, 1.6], [-12, -5]);
  expect(seenInMirror(middle, here, mirrored(layout), 'right')).toEqual(seenInMirror(middle, here, layout, 'left'));
});

it('hides behind a turned trailer what a straight one shows', () => {
  const layout = poles([-6, 1.6]);
  expect(seenInMirror(trailed, here, layout, 'left')).toEqual(['A']);
  // The car points left of its trailer: the trailer's rear comes out on the left.
  expect(seenInMirror(trailed, { ...here, hitch: 0.5 }, layout, 'left')).toEqual([]);
});

it('shows what is behind and nearer lower and larger, as a mirror does', () => {
  const view = mirrorView(car, here, poles([-4, 1.5], [-12, 2.2]), 'left');
  const [far, near] = view.shown.filter(({ kind }) => kind === 'pole');
  expect([far!.id, near!.id]).toEqual(['B', 'A']);
  const tall = ({ points: [foot, top] }: typeof far & object) => top!.up - foot!.up;
  expect(tall(near!)).toBeGreaterThan(tall(far!));
  expect(near!.points[0]!.up).toBeLessThan(far!.points[0]!.up);
  expect(view.shown.some(({ kind }) => kind === 'vehicle')).toBe(true);
});

// A simple perspective: so far to the right over so far ahead.
it('shows the driver a pole where it stands', () => {
  const view = eyeView(car, here, poles([11.2, 2.37], [-5, 2], [1.2, 4.37]), 'ahead');
  const seen = view.shown.filter(({ kind }) => kind === 'pole');
  expect(seen.map(({ id }) => id)).toEqual(['A']);
  expect(seen[0]!.points[0]!.right).toBeCloseTo(-2 / 10, 9);
  expect(seen[0]!.points[0]!.up).toBeCloseTo(-1.2 / 10, 9);
  expect(seen[0]!.points[1]!.up).toBeCloseTo(-0.2 / 10, 9);
  // To the left the same pole beside the shoulder is straight before the eye.
  const left = eyeView(car, here, poles([1.2, 4.37]), 'left').shown.find(({ kind }) => kind === 'pole');
  expect(left!.points[0]!.right).toBeCloseTo(0, 9);
});

it('draws nothing at the eye or behind it', () => {
  for (const look of ['ahead', 'left', 'right'] as const)
    for (const { points } of eyeView(rigid, here, poles([-3, 1]), look).shown)
      for (const { right, up } of points) expect(Number.isFinite(right) && Number.isFinite(up)).toBe(true);
});
