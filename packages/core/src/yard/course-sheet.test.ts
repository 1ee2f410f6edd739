import { exerciseBegins as begin, exerciseEnds as end, logOf, start } from '../drive/testing';
import type { EventBody } from '../drive/event';
import { foldDrive } from '../drive/fold';
import { secondsAllowed } from '../marking/exercise-limits';
import { judgeDrive } from '../marking/judge';
import { attemptsYard, tally, timedYard } from '../marking/testing-standards';
import type { EffectiveStandard } from '../marking/standard';
import { courseSheet, nextExercises } from './course-sheet';

/** A drive of these bodies, a minute apart, and what the course says of it. */
function courseOf(standard: EffectiveStandard, bodies: readonly EventBody[]) {
  const drive = foldDrive(logOf([[0, start(standard.id)], ...bodies.map((body, i) => [i + 1, body] as const)]));
  const verdict = judgeDrive(standard, drive);
  return {
    sheets: courseSheet(standard, drive, verdict, drive.lastMs),
    next: nextExercises(standard, drive, verdict).map(({ code }) => code),
  };
}

it('says of each exercise whether it is to come, under way, done or failed', () => {
  const { sheets, next } = courseOf(timedYard, [begin('slope'), end, begin('brake'), end, begin('angle-bay')]);
  expect(sheets.map(({ state }) => state)).toEqual(['done', 'done', 'now', 'to-come', 'to-come']);
  expect(sheets[0]!.attempts[0]).toMatchObject({ timeMs: 60_000, allowedS: 90 });
  expect(next).toEqual(['garage-bay']);
  const late = courseOf(timedYard, [begin('slope'), { type: 'prompt' }, end]);
  expect(late.sheets[0]).toMatchObject({ state: 'failed', failedBy: { limit: { code: 'time-slope' } } });
});

it('holds the marks of an exercise, wherever they were made, and what they use up', () => {
  const mark = (item: string): EventBody => ({ type: 'mark', item, grade: 'demerit' });
  const { sheets } = courseOf(timedYard, [begin('garage-bay'), mark('garage-bay.extra'), end, mark('garage-bay.dry')]);
  const garage = sheets.find(({ exercise }) => exercise.code === 'garage-bay')!;
  expect(garage.marks.map(({ item }) => item)).toEqual(['garage-bay.extra', 'garage-bay.dry']);
  expect(garage.room).toMatchObject({ used: 3, allowed: 5, left: 2 });
  // Nothing used is known as well, so that it can be shown from the start.
  expect(sheets[0]!.room).toMatchObject({ used: 0, allowed: 5, left: 5 });
});

it('gives a repeat five minutes more, and an exercise without a clock no time at all', () => {
  const { sheets } = courseOf(timedYard, [begin('garage-bay', true), end]);
  expect(sheets[3]!.attempts[0]!.allowedS).toBe(480);
  expect(sheets[3]!.allowedS).toBe(180);
  expect(secondsAllowed(attemptsYard, 'alley-left', false)).toBeUndefined();
  expect(secondsAllowed(tally, 'none', true)).toBeUndefined();
});

it('asks for the same exercise again while an attempt is left, and goes on once none is', () => {
  const failed: EventBody = { type: 'attempt', result: 'failed' };
  const once = [begin('alley-left'), failed, end];
  expect(courseOf(attemptsYard, once).next).toEqual(['alley-left']);
  expect(courseOf(attemptsYard, [...once, ...once]).next).toEqual(['alley-right']);
  expect(courseOf(attemptsYard, [begin('alley-left'), end]).next).toEqual(['alley-right']);
});

it('offers the branches of an exercise that were not driven yet', () => {
  const branching = {
    ...timedYard,
    exercises: timedYard.exercises.map((exercise) =>
      exercise.code === 'slope' ? { ...exercise, next: ['garage-bay', 'parallel-bay'] } : exercise,
    ),
  } as EffectiveStandard;
  expect(courseOf(branching, []).next).toEqual(['slope']);
  expect(courseOf(branching, [begin('slope'), end]).next).toEqual(['garage-bay', 'parallel-bay']);
  const all = timedYard.exercises.flatMap(({ code }) => [begin(code), end]);
  expect(courseOf(timedYard, all).next).toEqual([]);
});
