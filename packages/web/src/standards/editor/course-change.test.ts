import { lintStandard } from '@jasperwren/core/marking/lint/lint';
import { timedYard } from '@jasperwren/core/marking/templates/timed-yard';
import {
  addLook,
  changeLook,
  moveExercise,
  otherSteps,
  removeLook,
  setCourse,
  setField,
  setLeaving,
  withStep,
} from './course-change';

const exercise = (standard: typeof timedYard, code: string) => standard.exercises.find((one) => one.code === code)!;
const order = (standard: typeof timedYard) => standard.exercises.map(({ code }) => code);

it('sets what an exercise says, and takes out what is empty', () => {
  const changed = setField('slope', 'script', 'Drive up, please.')(setField('slope', 'side', 'left')(timedYard));
  expect(exercise(changed, 'slope')).toMatchObject({ script: 'Drive up, please.', side: 'left' });
  const emptied = setField('slope', 'side', undefined)(setField('slope', 'script', '')(changed));
  expect(exercise(emptied, 'slope')).not.toHaveProperty('script');
  expect(exercise(emptied, 'slope')).not.toHaveProperty('side');
  expect(lintStandard(emptied)).toEqual([]);
});

it('moves an exercise to where another is, and leaves the order where there is none such', () => {
  expect(order(moveExercise('brake', 'slope')(timedYard)).slice(0, 2)).toEqual(['brake', 'slope']);
  expect(order(moveExercise('slope', 'angle-bay')(timedYard)).slice(0, 3)).toEqual(['brake', 'angle-bay', 'slope']);
  expect(order(moveExercise('slope', 'nowhere')(timedYard))).toEqual(order(timedYard));
});

it('adds, changes and takes out looks, each with a code of its own', () => {
  const two = addLook('slope', 'Once more', 'slope.look')(addLook('slope', 'Mirror', 'slope.look')(timedYard));
  const looks = exercise(two, 'slope').looks!;
  expect(new Set(looks.map(({ code }) => code)).size).toBe(3);
  expect(lintStandard(two)).toEqual([]);
  const changed = changeLook('slope', looks[1]!.code, { name: 'Left mirror' })(two);
  expect(exercise(changed, 'slope').looks![1]!.name).toBe('Left mirror');
  const none = looks.reduce((is, { code }) => removeLook('slope', code)(is), two);
  expect(exercise(none, 'slope')).not.toHaveProperty('looks');
  expect(lintStandard(addLook('slope', 'Nowhere', 'none')(timedYard)).map(({ path }) => path)).toEqual([
    '/exercises/0/looks/1/item',
  ]);
});

it('asks for an order of leaving the car, or for none', () => {
  const { leaving } = timedYard.course!;
  const longer = withStep(leaving!.order, 'engine');
  expect(longer.at(-1)).toBe('engine');
  expect(withStep(longer, 'belt')).not.toContain('belt');
  expect(otherSteps(leaving!.order)).toEqual(['engine']);
  expect(setLeaving(longer, leaving!.item)(timedYard).course?.leaving?.order).toEqual(longer);
  expect(setLeaving(['belt'], leaving!.item)(timedYard).course).toEqual({});
  expect(setCourse(false)(timedYard)).not.toHaveProperty('course');
  expect(setCourse(true)(setCourse(false)(timedYard)).course).toEqual({});
});
