import { parseInput } from './parse-input';
import { FreeHoursList, LessonPlan } from './lessons';

const problemsOf = (checked: ReturnType<typeof parseInput>) =>
  checked.ok ? [] : checked.problems.map(({ field, message }) => `${field}: ${message}`);
const hours = { weekday: 1, from: '09:00', to: '12:00' };
const goal = { kind: 'area', code: 'junctions', name: 'Junctions', seek: 'crossroads' };
const lesson = { start: '2026-11-30T09:00', minutes: 60, goals: [goal] };

describe('free hours', () => {
  const of = (change: object) =>
    problemsOf(parseInput(FreeHoursList, { hours: [{ ...hours, ...change }], version: 0 }));

  it('are days of the week with a beginning and an end', () => {
    expect(of({})).toEqual([]);
    expect(problemsOf(parseInput(FreeHoursList, { hours: [], version: 0 }))).toEqual([]);
    expect(of({ weekday: 0, from: '00:00', to: '23:59' })).toEqual([]);
  });

  it.each([
    [{ weekday: 7 }, 'hours.0.weekday: '],
    [{ weekday: 1.5 }, 'hours.0.weekday: '],
    [{ from: '9:00' }, 'hours.0.from: Enter a time, such as 09:30.'],
    [{ to: '24:00' }, 'hours.0.to: Enter a time, such as 17:00.'],
    [{ to: '09:00' }, 'hours.0.to: The hours end after they begin.'],
    [{ from: '17:00' }, 'hours.0.to: The hours end after they begin.'],
    [{ room: 'blue' }, 'hours.0.room: '],
  ])('with %j are refused', (change, problem) => {
    expect(of(change)).toEqual([expect.stringContaining(problem)]);
  });

  it('are forty at most', () => {
    expect(
      problemsOf(parseInput(FreeHoursList, { hours: Array.from({ length: 41 }, () => hours), version: 0 })),
    ).toHaveLength(1);
  });
});

describe('a plan of lessons', () => {
  const of = (change: object) =>
    problemsOf(parseInput(LessonPlan, { lessons: [{ ...lesson, ...change }], version: 0 }));

  it('holds lessons with goals, new ones without an id', () => {
    expect(of({})).toEqual([]);
    expect(of({ id: 'known', goals: [] })).toEqual([]);
    expect(of({ start: '2028-02-29T09:00' })).toEqual([]);
  });

  it.each([
    [{ start: '2026-11-30' }, 'lessons.0.start: A lesson needs a day and a time.'],
    [{ start: '2026-11-30T24:00' }, 'lessons.0.start: A lesson needs a day and a time.'],
    [{ start: '2026-13-01T09:00' }, 'lessons.0.start: A lesson needs a day and a time.'],
    [{ start: '2026-02-29T09:00' }, 'lessons.0.start: A lesson needs a day and a time.'],
    [{ minutes: 10 }, 'lessons.0.minutes: A lesson lasts 15 min at least.'],
    [{ minutes: 481 }, 'lessons.0.minutes: '],
    [{ goals: [{ ...goal, kind: 'race' }] }, 'lessons.0.goals.0.kind: '],
    [{ goals: [{ ...goal, name: 'x'.repeat(121) }] }, 'lessons.0.goals.0.name: '],
    [{ goals: Array.from({ length: 13 }, () => goal) }, 'lessons.0.goals: '],
    [{ price: 30 }, 'lessons.0.price: '],
  ])('with %j is refused', (change, problem) => {
    expect(of(change)).toEqual([expect.stringContaining(problem)]);
  });
});
