import { lintStandard } from './lint';
import type { Standard } from '../standard';
import type { Exercise } from '../exercise';
import { timedYard } from '../templates/timed-yard';

const paths = (standard: Standard) => lintStandard(standard).map(({ path }) => path);
const withExercise = (changes: Partial<Exercise>): Standard => ({
  ...timedYard,
  exercises: timedYard.exercises.map((exercise, i) => (i === 0 ? { ...exercise, ...changes } : exercise)),
});
const look = { code: 'shoulder', name: 'Over the shoulder', item: 'slope.look' };

it('finds nothing in the shipped course, nor where exercises branch', () => {
  expect(paths(timedYard)).toEqual([]);
  expect(paths(withExercise({ next: ['angle-bay', 'garage-bay'] }))).toEqual([]);
});

it.each<[string, Partial<Exercise>, readonly string[]]>([
  ['a look of an item that is not there', { looks: [{ ...look, item: 'none' }] }, ['/exercises/0/looks/0/item']],
  ['two looks with one code', { looks: [look, look] }, ['/exercises/0/looks/1/code']],
  ['an exercise that is not there next', { next: ['none'] }, ['/exercises/0/next/0']],
  ['itself next', { next: ['slope'] }, ['/exercises/0/next/0']],
])('finds %s', (_, changes, found) => {
  expect(paths(withExercise(changes))).toEqual(found);
});

it('finds a course without exercises, and an order of leaving that marks nothing', () => {
  const leaving = { order: ['belt', 'door'], item: 'none' } as const;
  expect(paths({ ...timedYard, course: { leaving } })).toEqual(['/course/leaving/item']);
  const plain: Standard = {
    ...timedYard,
    exercises: [],
    requirements: [],
    limits: timedYard.limits.filter(({ scope }) => scope.kind === 'test'),
    categories: timedYard.categories.filter(({ code }) => code === 'whole'),
  };
  expect(paths(plain)).toContain('/course');
});

it('finds sensors of a value that the item does not measure, and two values in one item', () => {
  const sensors = (of: string, list: Standard['categories'][number]['items'][number]['sensors']): Standard => ({
    ...timedYard,
    categories: timedYard.categories.map((category) => ({
      ...category,
      items: category.items.map((item) => (item.code === of ? { ...item, ...(list && { sensors: list }) } : item)),
    })),
  });
  expect(paths(sensors('slope.look', ['roll-back']))).toEqual(['/categories/0/items/2/sensors/0']);
  expect(paths(sensors('slope.roll-back', ['revs']))).toEqual(['/categories/0/items/0/sensors/0']);
  expect(paths(sensors('whole.overspeed', ['speed', 'tone-speed']))).toEqual(['/categories/5/items/0/sensors']);
});
