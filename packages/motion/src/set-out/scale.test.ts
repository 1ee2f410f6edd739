import fc from 'fast-check';
import { barFor, drawingMm, edgeMm, scaleFor, scales } from './scale';

const area = (wide: number, tall: number) => ({ left: -wide / 2, right: wide / 2, bottom: 3, top: 3 + tall });
const sizes = fc.double({ min: 1, max: 80, noNaN: true });

/** Whether ground fits the page at a scale, with room for names around it. */
const fits = (wide: number, tall: number, scale: number) =>
  (wide * 1000) / scale + 2 * edgeMm <= drawingMm.width && (tall * 1000) / scale + 2 * edgeMm <= drawingMm.height;

it('draws as large as the page allows, and no larger', () => {
  fc.assert(
    fc.property(sizes, sizes, (wide, tall) => {
      const scale = scaleFor(area(wide, tall));
      expect(fits(wide, tall, scale)).toBe(true);
      const larger = scales[scales.indexOf(scale as (typeof scales)[number]) - 1];
      if (larger !== undefined) expect(fits(wide, tall, larger)).toBe(false);
    }),
  );
});

it('never draws more ground larger than less', () => {
  fc.assert(
    fc.property(sizes, sizes, sizes, sizes, (wide, tall, more, higher) => {
      expect(scaleFor(area(wide + more, tall + higher))).toBeGreaterThanOrEqual(scaleFor(area(wide, tall)));
    }),
  );
});

it('takes the smallest scale where nothing fits', () => {
  expect(scaleFor(area(5000, 10))).toBe(scales.at(-1));
});

it.each([
  [20, 1],
  [50, 2],
  [100, 5],
  [200, 10],
  [500, 20],
  [1000, 50],
])('at 1:%d the bar stands for %d m', (scale, metres) => {
  expect(barFor(scale)).toBe(metres);
});

it('has a bar that can be measured with a ruler', () => {
  for (const scale of scales) {
    const mm = (barFor(scale) * 1000) / scale;
    expect(mm).toBeGreaterThanOrEqual(20);
    expect(mm).toBeLessThanOrEqual(50);
    expect(Number.isInteger(mm)).toBe(true);
  }
});
