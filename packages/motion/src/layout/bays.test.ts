import fc from 'fast-check';
import { distance, isInside, placed, seenFrom, toDegrees, type Point } from '../geometry';
import { standing } from '../moves/roll';
import { vehicleClasses } from '../vehicle/classes';
import { bodyOf } from '../vehicle/parts';
import { angleBayLayout, bayLayout } from './bays';
import type { Bay, Edge } from './layout';

const { car } = vehicleClasses;
const spaces = fc.record({
  bayM: fc.double({ min: 2.2, max: 4, noNaN: true }),
  depthM: fc.double({ min: 4.8, max: 8, noNaN: true }),
  aisleM: fc.double({ min: 6, max: 12, noNaN: true }),
});
const usual = { bayM: 2.6, depthM: 5.4, aisleM: 7 };

const bayOf = ({ goal }: Pick<ReturnType<typeof bayLayout>, 'goal'>): Bay => {
  if (goal.kind !== 'poses') throw new Error('A bay is parked in at a pose.');
  return goal.bay!;
};
const lengthOf = ({ from, to }: Edge) => distance(from, to);
const edge = (edges: readonly Edge[], id: string) => edges.find((one) => one.id.startsWith(id))!;

/** The corners of a bay, from its mouth. */
function cornersOf({ mouth, widthM, depthM }: Bay): readonly Point[] {
  const half = widthM / 2;
  return [
    { x: 0, y: half },
    { x: 0, y: -half },
    { x: depthM, y: -half },
    { x: depthM, y: half },
  ].map((corner) => placed(mouth, corner));
}

describe('a bay square to the aisle', () => {
  it.each(['reverse', 'forward', 'dock'] as const)('has the measures asked for, %s', (how) => {
    fc.assert(
      fc.property(spaces, (space) => {
        const { edges, ...layout } = bayLayout(car, space, how);
        expect(lengthOf(edge(edges, 'left-line'))).toBeCloseTo(space.depthM, 9);
        expect(lengthOf(edge(edges, 'right-line'))).toBeCloseTo(space.depthM, 9);
        expect(lengthOf(edge(edges, 'end-line'))).toBeCloseTo(space.bayM, 9);
        // Square: both diagonals are as long as Pythagoras says.
        const [a, b, c, d] = cornersOf(bayOf(layout)) as readonly [Point, Point, Point, Point];
        const diagonal = Math.hypot(space.bayM, space.depthM);
        expect(distance(a, c)).toBeCloseTo(diagonal, 9);
        expect(distance(b, d)).toBeCloseTo(diagonal, 9);
        expect(edge(edges, 'aisle-edge').from.y).toBeCloseTo(space.aisleM, 9);
      }),
    );
  });

  it('is parked in with the whole vehicle, its end short of the end of the bay', () => {
    fc.assert(
      fc.property(spaces, fc.constantFrom('reverse', 'forward', 'dock'), (space, how) => {
        const layout = bayLayout(car, space, how);
        const bay = bayOf(layout);
        const [goal] = layout.goal.kind === 'poses' ? layout.goal.poses : [];
        const body = bodyOf(car, standing(goal!)).filter(({ name }) => !name.endsWith('mirror'));
        for (const { outline } of body)
          for (const corner of outline) {
            const { x, y } = seenFrom(bay.mouth, corner);
            expect(x).toBeLessThanOrEqual(bay.depthM - 0.3 + 1e-6);
            expect(Math.abs(y)).toBeLessThanOrEqual(bay.widthM / 2);
          }
      }),
    );
  });

  it('has a marker just outside each corner, poles and a wall at a dock', () => {
    for (const how of ['reverse', 'dock'] as const) {
      const layout = bayLayout(car, usual, how);
      const corners = cornersOf(bayOf(layout));
      expect(layout.markers.map(({ id }) => id)).toEqual(['A', 'B', 'C', 'D']);
      for (const { kind, ...marker } of layout.markers) {
        expect(kind).toBe(how === 'dock' ? 'pole' : 'cone');
        expect(isInside(corners, marker)).toBe(false);
        expect(Math.min(...corners.map((corner) => distance(corner, marker)))).toBeCloseTo(0.15, 6);
      }
      expect(edge(layout.edges, 'end-line').kind).toBe(how === 'dock' ? 'wall' : 'line');
    }
  });

  it('begins on the aisle, whatever its width, facing along it', () => {
    fc.assert(
      fc.property(spaces, fc.constantFrom('reverse', 'forward', 'dock'), (space, how) => {
        const { start, area } = bayLayout(car, space, how);
        expect(start.heading).toBe(0);
        expect(start.y).toBeGreaterThan(0);
        expect(start.y).toBeLessThan(space.aisleM);
        expect(start.x).toBeGreaterThan(area.left);
        expect(start.x).toBeLessThan(area.right);
      }),
    );
  });
});

describe('a bay at 60 degrees', () => {
  it('stands at 60 degrees to the aisle, is as wide and as deep as asked, and opens along the aisle', () => {
    fc.assert(
      fc.property(spaces, (space) => {
        const layout = angleBayLayout(car, space);
        const bay = bayOf(layout);
        expect(toDegrees(bay.mouth.heading)).toBeCloseTo(-60, 9);
        const [left, right] = ['left-line', 'right-line'].map((id) => edge(layout.edges, id)) as [Edge, Edge];
        // Both sides begin at the aisle.
        expect([left.from.y, right.from.y]).toEqual([0, 0]);
        // Along the aisle the mouth is wider than the bay, by the sine of its angle.
        expect(Math.abs(left.from.x - right.from.x)).toBeCloseTo(space.bayM / Math.sin(Math.PI / 3), 9);
        expect(lengthOf(edge(layout.edges, 'end-line'))).toBeCloseTo(space.bayM, 9);
        for (const { to } of [left, right]) expect(seenFrom(bay.mouth, to).x).toBeCloseTo(space.depthM, 9);
      }),
    );
  });
});
