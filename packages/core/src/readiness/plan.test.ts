import { tally } from '../marking/testing-standards';
import { defaultAssumptions } from './assumptions';
import { estimate } from './estimate';
import { freeSlots, planLessons, spreadLessons } from './plan';
import { laws, populationOf } from './testing-populations';

const learners = [...populationOf(tally, laws[0]!, 60, 2)].sort((a, b) => b.chance - a.chance);
const good = learners[0]!;
const { evidence, on } = good;
const question = { standard: tally, evidence, on, assumptions: defaultAssumptions, questions: 0.5, seed: 1 };

describe('free hours', () => {
  it('become lessons on their weekdays, none on the day of the test, none where one is', () => {
    // 1 June 2026 is a Monday.
    const hours = [
      { weekday: 1, from: '09:00', to: '11:30' },
      { weekday: 4, from: '17:00', to: '18:00' },
    ];
    expect(freeSlots(hours, '2026-06-01', '2026-06-08', 60, [{ start: '2026-06-01T10:30', minutes: 45 }])).toEqual([
      '2026-06-01T09:00',
      '2026-06-04T17:00',
    ]);
    expect(freeSlots(hours, '2026-06-01', '2026-06-02', 90)).toEqual(['2026-06-01T09:00']);
    expect(freeSlots([], '2026-06-01', '2026-07-01', 60)).toEqual([]);
  });
});

describe('a few of the slots a week', () => {
  it('fall on different days while there are any, and then on the same', () => {
    const slots = ['2026-06-01T09:00', '2026-06-01T10:00', '2026-06-03T09:00', '2026-06-05T09:00', '2026-06-08T09:00'];
    expect(spreadLessons(slots, 2)).toEqual(['2026-06-01T09:00', '2026-06-03T09:00', '2026-06-08T09:00']);
    expect(spreadLessons(slots, 4)).toEqual(slots);
    const cutShort = ['2026-06-05T09:00', '2026-06-05T10:00', '2026-06-08T09:00', '2026-06-10T09:00'];
    expect(spreadLessons(cutShort, 2)).toEqual(['2026-06-05T09:00', '2026-06-08T09:00', '2026-06-10T09:00']);
    expect(spreadLessons(slots, 1)).toEqual(['2026-06-01T09:00', '2026-06-08T09:00']);
  });
});

describe('the plan', () => {
  const { changes, checks } = estimate(question);
  const starts = ['2026-06-01T09:00', '2026-06-04T09:00', '2026-06-08T09:00', '2026-06-11T09:00', '2026-06-15T09:00'];
  const plan = planLessons(tally, starts, 60, changes, checks, ['bay']);

  it('works on what would change most, most often, and says what to look for', () => {
    const areas = plan.flatMap(({ goals }) => goals.flatMap(({ kind, code }) => (kind === 'area' ? [code] : [])));
    expect(areas[0]).toBe(changes[0]!.category);
    const times = (code: string) => areas.filter((one) => one === code).length;
    expect(times(changes[0]!.category)).toBeGreaterThanOrEqual(times(changes[1]!.category));
    expect(plan.every(({ goals }) => goals.every(({ seek }) => seek !== ''))).toBe(true);
  });

  it('ends with a mock test on strange roads, practises what is not clean, and asks what is due', () => {
    expect(plan.at(-1)?.goals[0]).toMatchObject({ kind: 'mock', seek: 'new-roads' });
    const exercises = plan.flatMap(({ goals }) =>
      goals.flatMap(({ kind, code }) => (kind === 'exercise' ? [code] : [])),
    );
    expect(exercises.length).toBeGreaterThan(0);
    expect(exercises).not.toContain('bay');
    expect(plan.every(({ goals }) => goals.some(({ kind }) => kind === 'questions'))).toBe(true);
  });

  it('is empty without lessons', () => expect(planLessons(tally, [], 60, changes, checks, [])).toEqual([]));
});
