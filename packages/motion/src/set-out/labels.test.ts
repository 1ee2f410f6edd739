import fc from 'fast-check';
import { labelsFor, textMm } from './labels';

const names = (points: readonly (readonly [x: number, y: number])[]) =>
  points.map(([x, y], i) => ({ id: `P${i}`, x, y }));

it('puts a name to the upper right of its point where nothing is in the way', () => {
  const [label] = labelsFor(names([[10, 20]]));
  expect(label).toMatchObject({ id: 'P0', anchor: 'start' });
  expect(label!.x).toBeGreaterThan(10);
  expect(label!.y).toBeLessThan(20);
});

it('makes way for a point or a name that is there', () => {
  const two = labelsFor(
    names([
      [10, 20],
      [12, 18],
    ]),
  );
  expect(two[0]!.y).toBeGreaterThan(20);
  const beside = labelsFor(
    names([
      [10, 20],
      [10.5, 20.5],
    ]),
  );
  expect(beside[0]).not.toMatchObject({ x: beside[1]!.x, y: beside[1]!.y });
});

it('stands on no line where it can stand beside it, and in its usual place where it cannot', () => {
  const line = (y: number) => [
    { x: 0, y },
    { x: 50, y },
  ];
  const [label] = labelsFor(names([[10, 20]]), [line(18)]);
  expect(label!.y - textMm).toBeGreaterThan(18);
  const [between] = labelsFor(names([[10, 20]]), [line(17), line(22.5)]);
  expect(between).toMatchObject({ anchor: 'start', y: labelsFor(names([[10, 20]]))[0]!.y });
});

it('lets no name cover another as long as points are a name apart', () => {
  const apart = fc
    .uniqueArray(fc.tuple(fc.nat(8), fc.nat(12)), { selector: ([x, y]) => `${x} ${y}`, maxLength: 30 })
    .map((cells) => names(cells.map(([x, y]) => [x * 12, y * 8])));
  fc.assert(
    fc.property(apart, (points) => {
      const boxes = labelsFor(points).map(({ id, x, y, anchor }) => {
        const wide = id.length * textMm * 0.62;
        return { left: anchor === 'start' ? x : x - wide, wide, top: y - textMm * 0.75, y };
      });
      boxes.forEach((one, i) =>
        boxes.slice(i + 1).forEach((other) => {
          const across = one.left < other.left + other.wide && other.left < one.left + one.wide;
          expect(across && one.top < other.y && other.top < one.y).toBe(false);
        }),
      );
    }),
  );
});
