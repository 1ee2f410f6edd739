import { attemptsYard, tally, timedYard } from '../testing-standards';
import { judgeTrial, type Trial, type TrialAttempt } from './trial';

const attempt = (exercise: string, changes: Partial<TrialAttempt> = {}): TrialAttempt => ({
  exercise,
  seconds: 30,
  movements: 1,
  failed: false,
  ...changes,
});
const all = (standard: typeof attemptsYard) => standard.exercises.map(({ code }) => attempt(code));
const outcome = (standard: typeof attemptsYard, trial: Partial<Trial>) =>
  judgeTrial(standard, { attempts: [], entries: [], ...trial }).outcome;
const mark = (item: string, grade: string, count = 1) => ({ item, grade, count });

describe('a made-up test', () => {
  it('counts its faults alone where no exercise is driven', () => {
    const entries = [mark('signs.lights', 'driving', 16)];
    expect(outcome(tally, { entries })).toBe('fail');
    expect(outcome(tally, { entries: [mark('signs.lights', 'driving', 2)] })).toBe('pass');
  });

  it('passes clean, and fails with every attempt at an exercise', () => {
    expect(outcome(attemptsYard, { attempts: all(attemptsYard) })).toBe('pass');
    const failed = attempt('alley-left', { failed: true });
    const others = all(attemptsYard).slice(1);
    expect(outcome(attemptsYard, { attempts: [failed, attempt('alley-left'), ...others] })).toBe('pass');
    expect(outcome(attemptsYard, { attempts: [failed, failed, ...others] })).toBe('fail');
  });

  it('fails on a movement too many twice, and on a touched line', () => {
    const many = attempt('parallel-left', { movements: 4 });
    const others = all(attemptsYard).filter(({ exercise }) => exercise !== 'parallel-left');
    expect(outcome(attemptsYard, { attempts: [...others, many, many] })).toBe('fail');
    expect(outcome(attemptsYard, { attempts: [...others, many, attempt('parallel-left')] })).toBe('pass');
    expect(outcome(attemptsYard, { attempts: all(attemptsYard), entries: [mark('alley-left.line', 'ends')] })).toBe(
      'fail',
    );
  });

  it('lasts as long as a whole test has to, and no longer', () => {
    const [exercise] = tally.exercises;
    expect(tally.requirements.map(({ kind }) => kind)).toContain('driving-time');
    expect(judgeTrial(tally, { attempts: [attempt(exercise!.code)], entries: [] })).toMatchObject({
      outcome: 'pass',
      missing: [],
    });
    expect(outcome(timedYard, { attempts: all(timedYard).map((one) => ({ ...one, seconds: 90 })) })).toBe('pass');
  });

  it('is not whole without an exercise that has to be driven', () => {
    expect(outcome(attemptsYard, { attempts: [attempt('incline')] })).toBe('incomplete');
  });

  it('counts the seconds and demerits of an exercise by itself', () => {
    const slow = all(timedYard).with(0, attempt('slope', { seconds: 91 }));
    expect(outcome(timedYard, { attempts: slow })).toBe('fail');
    const demerits = (count: number) => [mark('garage-bay.look', 'demerit', count)];
    expect(outcome(timedYard, { attempts: all(timedYard), entries: demerits(5) })).toBe('pass');
    expect(outcome(timedYard, { attempts: all(timedYard), entries: demerits(6) })).toBe('fail');
  });
});
