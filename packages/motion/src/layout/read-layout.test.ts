import { exerciseCodes, layOut } from './exercises';
import { readLayout } from './read-layout';
import { vehicleClasses } from '../vehicle/classes';

const { car } = vehicleClasses;
const bay = layOut({ code: 'bay-reverse', side: 'right', space: {} }, car);

it.each(exerciseCodes)('reads back what it wrote of %s', (code) => {
  const layout = layOut({ code, side: 'left', space: {} }, car);
  expect(readLayout(JSON.parse(JSON.stringify(layout)))).toEqual({ layout });
});

it('finds out what a layout reaches to where the file does not say it', () => {
  const { area, ...rest } = bay;
  const read = readLayout(rest) as { layout: typeof bay };
  for (const { x, y } of bay.markers) {
    expect(x > read.layout.area.left && x < read.layout.area.right).toBe(true);
    expect(y > read.layout.area.bottom && y < read.layout.area.top).toBe(true);
  }
  expect(area).toBeDefined();
});

it.each([
  [{ ...bay, markers: [bay.markers[0], bay.markers[0]] }, 'A stands for two things'],
  [{ ...bay, edges: [{ id: 'l', kind: 'line', from: { x: 1, y: 1 }, to: { x: 1, y: 1 } }] }, 'l has no length'],
  [{ ...bay, area: { left: 1, right: 0, bottom: 0, top: 1 } }, '/area has no inside'],
  [{ ...bay, markers: [{ id: 'A', kind: 'cone', x: 1e9, y: 0 }] }, '/markers/0/x'],
  [{ ...bay, markers: [{ id: '<b>', kind: 'cone', x: 1, y: 0 }] }, '/markers/0/id'],
  [{ ...bay, goal: { kind: 'poses', poses: [] } }, '/goal'],
  [{ ...bay, start: { x: 0, y: 0 } }, '/start'],
  [{ ...bay, colour: 'red' }, 'additional'],
  [[], '/'],
])('says what is wrong with a layout (%#)', (value, where) => {
  const read = readLayout(value) as { problems: readonly string[] };
  expect(read.problems.join('\n')).toContain(where);
});
