import { placesAlong } from '@jasperwren/core/routes/along-line';
import { degreeMetres } from '@jasperwren/roads/geometry';
import { sceneAt } from './strip';

const degree = degreeMetres(48);
const line = (points: readonly (readonly [x: number, y: number])[]) =>
  points.map(([x, y]) => [48 + y / degree.lat, -30 + x / degree.lon] as const);

describe('the road ahead', () => {
  const straight = placesAlong(
    line([
      [0, 0],
      [0, 500],
    ]),
  );
  const bend = placesAlong(
    line([
      [0, 0],
      [0, 60],
      [200, 160],
    ]),
  );

  it('narrows to the middle where it is straight', () => {
    const { left, right, middle } = sceneAt(straight, 10, 500);
    for (const [x] of middle) expect(x).toBeCloseTo(0.5, 3);
    left.forEach(([x, y], i) => {
      expect(x).toBeCloseTo(1 - right[i]![0], 3);
      if (i > 0) expect(y).toBeLessThan(left[i - 1]![1]);
    });
    expect(left.at(-1)![0]).toBeGreaterThan(left[0]![0]);
  });

  it('turns to the right where it bends to the right', () => {
    const { middle } = sceneAt(bend, 0, 280);
    expect(middle.at(-1)![0]).toBeGreaterThan(0.7);
  });

  it('shows what stands at the roadside larger when it is near, and nothing behind', () => {
    const { at } = sceneAt(straight, 10, 500);
    const [near, far] = [at(20, 5)!, at(120, 5)!];
    expect(near.scale).toBeGreaterThan(far.scale);
    expect(near.dot[0]).toBeGreaterThan(far.dot[0]);
    expect(at(2, 5)).toBeUndefined();
    expect(at(495, 5)).toBeUndefined();
  });
});
