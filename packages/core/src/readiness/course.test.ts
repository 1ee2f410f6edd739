import { foldDrive } from '../drive/fold';
import { logOf, start } from '../drive/testing';
import { tally, timedYard } from '../marking/testing-standards';
import { chanceLine } from '@jasperwren/words/readiness-estimate';
import { reasonWords } from '@jasperwren/words/readiness-items';
import { chanceOf } from '../yard/exercise-history';
import { checklist } from './checklist';
import { courseStanding } from './course';
import { evidenceOfDrive, wholeTest } from './evidence';
import { judgeReadiness } from './judgement';

const on = new Date('2026-05-20T12:00:00Z');

/** Evidence of a course on which these exercises came out so, so many days before. */
const driven = (days: number, outcomes: Readonly<Record<string, boolean>>, standard = 'timed-yard') => ({
  ...wholeTest(timedYard, new Date(on.getTime() - days * 86_400_000).toISOString(), {}),
  course: { standard, results: Object.entries(outcomes).map(([exercise, passed]) => ({ exercise, passed })) },
});
const all = Object.fromEntries(timedYard.exercises.map(({ code }) => [code, true]));
const [first] = timedYard.exercises;

describe('how a learner stands with a course', () => {
  it('is not said where there is no course, or an exercise was never driven', () => {
    expect(courseStanding(tally, [driven(1, all)], on)).toBeUndefined();
    expect(courseStanding(timedYard, [], on)).toBeUndefined();
    expect(courseStanding(timedYard, [driven(1, { ...all, [first!.code]: true }, 'another')], on)).toBeUndefined();
    const others = Object.fromEntries(Object.entries(all).filter(([code]) => code !== first!.code));
    expect(courseStanding(timedYard, [driven(1, others)], on)).toBeUndefined();
  });

  it('is the product over the exercises, the latest drives weighing most, and names the weakest', () => {
    const failed = { ...all, [first!.code]: false };
    const standing = courseStanding(timedYard, [driven(9, failed), driven(2, all)], on)!;
    const [sure, unsure] = [chanceOf([true, true]).mean, chanceOf([false, true]).mean];
    expect(standing.weakest).toBe(first!.name);
    expect(standing.weakestChance).toBeCloseTo(unsure, 12);
    expect(standing.chance).toBeCloseTo(unsure * sure ** (timedYard.exercises.length - 1), 12);
    expect(courseStanding(timedYard, [driven(2, failed), driven(9, all)], on)!.chance).toBeLessThan(standing.chance);
    // What lies more than eight weeks back, or ahead, says nothing.
    expect(courseStanding(timedYard, [driven(60, all)], on)).toBeUndefined();
    expect(courseStanding(timedYard, [driven(-1, all)], on)).toBeUndefined();
  });

  it('keeps a learner from booking whose faults alone would allow it', () => {
    const chance = { mean: 0.9, from: 0.8, to: 0.95 };
    expect(judgeReadiness(chance, []).word).toBe('book');
    const course = { chance: 0.4, weakest: 'Slope', weakestChance: 0.5 };
    const judgement = judgeReadiness(chance, [], course);
    expect(judgement).toMatchObject({ word: 'not-yet', next: { kind: 'practise-exercise', exercise: 'Slope' } });
    // What keeps the learner back comes first.
    expect(judgement.reasons.map(reasonWords)[0]).toBe(
      'Would pass all exercises of the course in about 8 of 20 tests. The least sure: Slope, 10 of 20. To book: 15 or more.',
    );
    const [reason] = judgement.reasons;
    expect(chanceLine({ ...chance, word: judgement.word, reason: reason! })).toMatch(/, but: Would pass all exercises/);
    expect(judgeReadiness(chance, [], { ...course, chance: 0.6 }).word).toBe('nearly');
    // Where the faults alone are too many already, nothing is said twice.
    const weak = { mean: 0.6, from: 0.5, to: 0.7 };
    const both = judgeReadiness(weak, []);
    expect(chanceLine({ ...weak, word: both.word, reason: both.reasons[0]! })).toBe('Would pass 10 to 14 of 20 tests.');
    expect(judgeReadiness(chance, [], { ...course, chance: 0.8 }).word).toBe('book');
  });

  it('comes from the log of a drive, and asks for no new roads', () => {
    const log = logOf([
      [0, start('timed-yard')],
      [1, { type: 'section', section: 'exercise', exercise: first!.code }],
      [2, { type: 'section', section: 'guided' }],
      [3, { type: 'ended', ending: 'completed' }],
    ]);
    const evidence = evidenceOfDrive(timedYard, foldDrive(log))!;
    // One exercise of so many, whatever the minutes.
    expect(evidence.exposure).toBeCloseTo(1 / timedYard.exercises.length, 12);
    expect(evidence.course).toEqual({ standard: 'timed-yard', results: [{ exercise: first!.code, passed: true }] });
    expect(checklist(timedYard, [evidence], on, undefined).map(({ code }) => code)).not.toContain('unfamiliar');
    expect(checklist(tally, [evidence], on, undefined).map(({ code }) => code)).toContain('unfamiliar');
    // Its tests are short: three whole ones are enough.
    const three = [1, 2, 3].map((days) => driven(days, all));
    expect(checklist(timedYard, three, on, undefined)[0]).toMatchObject({ code: 'evidence', ok: true });
    expect(checklist(timedYard, three.slice(1), on, undefined)[0]).toMatchObject({ ok: false });
  });
});
