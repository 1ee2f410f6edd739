import { tally } from '@jasperwren/core/marking/testing-standards';
import type { DriveSummary } from '@jasperwren/contract/drives';
import type { LearnerView } from '@jasperwren/contract/learners';
import type { UpcomingLesson } from '@jasperwren/contract/lessons';
import dayjs from 'dayjs';
import { nextUp } from './next-up';
import { toFinishOf } from './to-finish';

const now = dayjs('2026-11-26T10:00');
const drive = (id: string, more: Partial<DriveSummary> = {}): DriveSummary => ({
  id,
  learnerId: 'ada',
  learnerName: 'Ada',
  instructorName: 'Bo',
  standard: { id: 'tally', version: tally.version, name: 'Tally' },
  startedAt: '2026-11-25T09:00:00Z',
  phase: 'ended',
  drivenMs: 0,
  outcome: 'pass',
  detail: { outcome: 'pass' },
  unsettledPins: 0,
  unsettledDoubles: 0,
  debriefed: true,
  prompts: 0,
  interventions: 0,
  byGrade: {},
  byArea: [],
  byItem: {},
  ...more,
});

describe('what is left to finish', () => {
  it('begins with what is in progress, then pins to name, then debriefs of the last two weeks', () => {
    const drives = [
      drive('told', { debriefed: true }),
      drive('untold', { debriefed: false }),
      drive('forgotten', { debriefed: false, startedAt: '2026-11-11T09:00:00Z' }),
      drive('pins', { unsettledPins: 1, unsettledDoubles: 2, debriefed: false }),
      drive('running', { phase: 'running' }),
    ];
    const left = toFinishOf(drives, [{ id: 'running', learnerName: 'Ada', unsent: 3 }], now);
    expect(left.map(({ id, kind }) => [id, kind])).toEqual([
      ['running', 'continue'],
      ['pins', 'name-pins'],
      ['untold', 'debrief'],
    ]);
    expect(left[0]).toMatchObject({ unsent: 3, hereOnly: false });
    expect(left[1]).toMatchObject({ pins: 1, duplicates: 2 });
  });

  it('says that pins give the result only where nothing else keeps it back', () => {
    const pins = { kind: 'unsettled-pins', count: 1 } as const;
    const decides = (detail: DriveSummary['detail']) =>
      toFinishOf([drive('pins', { unsettledPins: 1, outcome: detail.outcome, detail })], [], now)[0];
    expect(decides({ outcome: 'incomplete', missing: [pins] })).toMatchObject({ decides: true });
    expect(decides({ outcome: 'incomplete', missing: [{ kind: 'abandoned' }, pins] })).toMatchObject({
      decides: false,
    });
    expect(decides({ outcome: 'fail', stops: [], crossed: [] })).toMatchObject({ decides: false });
  });

  it('names what this device alone knows', () => {
    expect(toFinishOf([], [{ id: 'here', learnerName: 'Ada', unsent: 2 }], now)).toMatchObject([
      { id: 'here', kind: 'continue', unsent: 2, hereOnly: true },
    ]);
  });
});

describe('who is next', () => {
  const learner = (id: string, testDate?: string): LearnerView => ({
    id,
    name: id,
    transmission: 'manual',
    standardId: 'tally',
    drives: 0,
    version: 1,
    ...(testDate && { testDate }),
  });
  const lesson = (learnerId: string, start: string, kind: 'mock' | 'area'): UpcomingLesson => ({
    id: start,
    learnerId,
    learnerName: learnerId,
    start,
    minutes: 60,
    goals: [{ kind, code: '', name: '', seek: 'new-roads' }],
  });

  it('is whoever has a mock test in a lesson of the week, then whoever is tested soonest; nobody twice', () => {
    const learners = [
      learner('late', '2027-03-01'),
      learner('soon', '2026-12-01'),
      learner('past', '2026-11-01'),
      learner('planned', '2026-11-28'),
      learner('far', '2027-01-01'),
      learner('undated'),
    ];
    const lessons = [
      lesson('late', '2026-11-26T14:00', 'area'),
      lesson('planned', '2026-11-27T09:00', 'mock'),
      lesson('far', '2026-12-20T09:00', 'mock'),
    ];
    const next = nextUp(learners, lessons, now);
    expect(next.map(({ learner: { id } }) => id)).toEqual(['planned', 'soon', 'far', 'late']);
    expect(next[0]?.lesson?.start).toBe('2026-11-27T09:00');
    expect(nextUp([], [], now)).toEqual([]);
  });
});
