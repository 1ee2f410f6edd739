import { layOut } from '@jasperwren/motion/layout/exercises';
import { readLayout } from '@jasperwren/motion/layout/read-layout';
import { vehicleClasses } from '@jasperwren/motion/vehicle/classes';
import fc from 'fast-check';
import { added, handlesOf, moved, placeOf, removed, snapped } from './edit-layout';

const bay = layOut({ code: 'bay-reverse', side: 'right', space: {} }, vehicleClasses.car);
const kinds = ['cone', 'pole', 'line', 'kerb', 'wall'] as const;

it('moves what is meant and nothing else', () => {
  const to = moved(bay, { kind: 'marker', id: 'B' }, { x: 2, y: 0.5 });
  expect(placeOf(to, { kind: 'marker', id: 'B' })).toMatchObject({ x: 2, y: 0.5 });
  expect(to.markers.filter(({ id }) => id !== 'B')).toEqual(bay.markers.filter(({ id }) => id !== 'B'));
  expect(to.edges).toEqual(bay.edges);
});

it('turns where it begins and where it ends, and keeps the direction where only the place changes', () => {
  expect(moved(bay, { kind: 'start' }, { x: 1, y: 2 }).start).toEqual({ x: 1, y: 2, heading: bay.start.heading });
  expect(moved(bay, { kind: 'goal' }, { x: 1, y: 2, heading: 1 }).goal).toEqual({
    kind: 'poses',
    poses: [{ x: 1, y: 2, heading: 1 }],
  });
});

it('adds things under names that nothing has yet, and takes them out again', () => {
  const cone = added(bay, 'cone');
  expect(cone.handle).toEqual({ kind: 'marker', id: 'E' });
  const line = added(added(cone.layout, 'line').layout, 'line');
  expect(line.handle).toEqual({ kind: 'edge', id: 'line 2', end: 'to' });
  const without = removed(removed(line.layout, cone.handle), line.handle);
  expect(without.markers).toEqual(bay.markers);
  expect(without.edges.map(({ id }) => id)).toEqual([...bay.edges.map(({ id }) => id), 'line 1']);
  expect(removed(bay, { kind: 'start' })).toBe(bay);
});

it('leaves a layout that can be read back, whatever is moved and added', () => {
  fc.assert(
    fc.property(
      fc.array(fc.tuple(fc.nat(), fc.integer({ min: -800, max: 800 }), fc.integer({ min: -800, max: 800 })), {
        maxLength: 12,
      }),
      fc.array(fc.constantFrom(...kinds), { maxLength: 6 }),
      (moves, more) => {
        const grown = more.reduce((layout, kind) => added(layout, kind).layout, bay);
        const edited = moves.reduce((layout, [which, x, y], i) => {
          const handles = handlesOf(layout);
          // Never twice to the same place: an edge needs a length.
          return moved(layout, handles[which % handles.length]!, { x: snapped(x / 10) + i * 0.01, y: snapped(y / 10) });
        }, grown);
        expect(readLayout(JSON.parse(JSON.stringify(edited)))).toHaveProperty('layout');
      },
    ),
  );
});
