import { lintStandard } from '../lint/lint';
import type { Exercise } from '../exercise';
import type { Standard } from '../standard';
import { attemptsYard, tally, timedYard } from '../testing-standards';
import { inList, moved, withField } from './change';
import {
  addLook,
  addLookEverywhere,
  allowanceOf,
  changeLook,
  removeLook,
  setAllowance,
  setCourse,
  setLeaving,
  setRequired,
  withNewExercise,
} from './exercises';
import { knownExercises, knownSteps, withKnownExercises, withKnownStep } from './known';

const exercise = (standard: Standard, code: string) => standard.exercises.find((one) => one.code === code)!;
const order = (standard: Standard) => standard.exercises.map(({ code }) => code);
const setSlope = <F extends 'script' | 'side'>(field: F, value: Exercise[F] | undefined) =>
  inList('exercises', 'slope', withField<Exercise, F>(field, value));
const names = {
  attempts: (name: string) => `Attempts at ${name}`,
  failedAttempts: (name: string) => `Failed attempts at ${name}`,
  movements: (name: string) => `Movements of ${name}`,
  time: (name: string) => `Time of ${name}`,
};

it('sets what an exercise says, and takes out what is empty', () => {
  const changed = setSlope('script', 'Drive up, please.')(setSlope('side', 'left')(timedYard));
  expect(exercise(changed, 'slope')).toMatchObject({ script: 'Drive up, please.', side: 'left' });
  const emptied = setSlope('side', undefined)(setSlope('script', '')(changed));
  expect(exercise(emptied, 'slope')).not.toHaveProperty('script');
  expect(exercise(emptied, 'slope')).not.toHaveProperty('side');
  expect(lintStandard(emptied)).toEqual([]);
});

it('moves an exercise to where another is, and leaves the order where there is none such', () => {
  expect(order(moved('exercises', 'brake', 'slope')(timedYard)).slice(0, 2)).toEqual(['brake', 'slope']);
  expect(order(moved('exercises', 'slope', 'angle-bay')(timedYard)).slice(0, 3)).toEqual([
    'brake',
    'angle-bay',
    'slope',
  ]);
  expect(order(moved('exercises', 'slope', 'nowhere')(timedYard))).toEqual(order(timedYard));
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

it('asks for a look in every exercise that has the fault of missing it, once', () => {
  const bare = { ...timedYard, exercises: timedYard.exercises.map(({ looks: _, ...one }) => one) };
  const looking = addLookEverywhere('All round', 'reversing.observation')(bare);
  expect(looking.exercises.flatMap(({ code, looks = [] }) => looks.map(({ item }) => [code, item]))).toEqual([
    ['angle-bay', 'angle-bay.look'],
    ['garage-bay', 'garage-bay.look'],
    ['parallel-bay', 'parallel-bay.look'],
  ]);
  expect(addLookEverywhere('All round', 'reversing.observation')(looking)).toEqual(looking);
});

it('asks for an order of leaving the car, or for none', () => {
  const { leaving } = timedYard.course!;
  const longer = [...leaving!.order, 'engine'] as const;
  expect(setLeaving(longer, leaving!.item)(timedYard).course?.leaving?.order).toEqual(longer);
  expect(setLeaving(['belt'], leaving!.item)(timedYard).course).toEqual({});
  expect(setCourse(false)(timedYard)).not.toHaveProperty('course');
  expect(setCourse(true)(setCourse(false)(timedYard)).course).toEqual({});
});

describe('what an exercise allows', () => {
  const bare = {
    ...attemptsYard,
    limits: attemptsYard.limits.filter(({ scope }) => scope.kind !== 'exercise'),
  };
  const three = (kind: 'attempts' | 'movements' | 'time', n: number | undefined) =>
    setAllowance('parallel-left', kind, n, names);

  it('attempts with the last that has to succeed, as the shipped standard has it', () => {
    const made = three('movements', 3)(three('attempts', 2)(bare));
    const shipped = attemptsYard.limits.filter(
      ({ scope }) => scope.kind === 'exercise' && scope.exercise === 'parallel-left',
    );
    const rules = (standard: Pick<Standard, 'limits'>) =>
      standard.limits.map(({ measure, scope, allowed, effect }) => ({
        measure,
        scope,
        allowed: allowed.value,
        effect,
      }));
    expect(rules({ limits: made.limits.slice(bare.limits.length) })).toEqual(rules({ limits: shipped }));
    expect(lintStandard(made)).toEqual([]);
  });

  it('whichever is said first', () => {
    const one = three('movements', 3)(three('attempts', 2)(bare));
    const other = three('attempts', 2)(three('movements', 3)(bare));
    const effects = (standard: Standard) =>
      standard.limits.map(({ measure, effect }) => `${measure.kind} ${effect.kind}`).sort();
    expect(effects(other)).toEqual(effects(one));
    expect(lintStandard(other)).toEqual([]);
  });

  it('any number again, with nothing left behind', () => {
    const made = three('time', 60)(three('movements', 3)(three('attempts', 2)(bare)));
    expect(allowanceOf(made, 'parallel-left', 'time')?.allowed.value).toBe(60);
    const none = three('time', undefined)(three('movements', undefined)(three('attempts', undefined)(made)));
    expect(none).toEqual(bare);
    expect(three('time', 60)(setAllowance('nowhere', 'time', 60, names)(bare)).limits).toHaveLength(
      bare.limits.length + 1,
    );
  });

  it('and whether it has to be driven', () => {
    expect(setRequired('incline', true)(attemptsYard).requirements).toHaveLength(7);
    expect(setRequired('incline', false)(attemptsYard).requirements).toHaveLength(6);
  });
});

describe('what shipped standards have ready', () => {
  it('exercises, each by its name, which refer to nothing of theirs', () => {
    expect(new Set(knownExercises.map(({ name }) => name)).size).toBe(knownExercises.length);
    expect(JSON.stringify(knownExercises)).not.toContain('"item');
    const made = withKnownExercises(['Alley dock left', 'No such', 'Slope'])(tally);
    expect(made.exercises.slice(tally.exercises.length).map(({ name }) => name)).toEqual(['Alley dock left', 'Slope']);
    expect(withNewExercise(exercise(made, 'slope'))(made).exercises.at(-1)?.name).toBe('Slope');
    expect(lintStandard(made)).toEqual([]);
  });

  it('steps of the briefing, whose parts mark the fault types that are there', () => {
    const bare = { ...tally, briefing: [] };
    const made = knownSteps.reduce((is, { name }) => withKnownStep(name)(is), bare as Standard);
    expect(made.briefing).toHaveLength(knownSteps.length);
    expect(lintStandard(made)).toEqual([]);
    const drill = made.briefing!.find(({ name }) => name === 'Cockpit drill');
    expect(drill?.kind === 'checklist' && drill.parts.some(({ item }) => item === 'set-up.doors')).toBe(true);
    expect(withKnownStep('No such')(bare)).toBe(bare);
  });
});
