import { roomSentence, soFarSentence } from '@jasperwren/words/marking/room';
import { verdictSentence } from '@jasperwren/words/marking/verdict';
import { foldDrive } from '../drive/fold';
import type { EventBody } from '../drive/event';
import { latestMark } from '../drive/latest-mark';
import { exerciseBegins, fullTest, logOf, start } from '../drive/testing';
import { judgeDrive } from './judge';
import { leavesExercise } from './leaves-exercise';
import { nearestNarrow, tightestFor } from './room';
import { graded, minorMajor, pointsOff, strikes, tally, timedYard } from './testing-standards';
import type { EffectiveStandard } from './standard';

const mark = (item: string, grade: string): EventBody => ({ type: 'mark', item, grade });

/** What the desk says of the last mark, and of the nearest limits. */
function after(standard: EffectiveStandard, bodies: readonly EventBody[]) {
  const events = fullTest(bodies, standard.id);
  const drive = foldDrive(events);
  const verdict = judgeDrive(standard, drive);
  const latest = latestMark(events, drive);
  const room = latest && tightestFor(standard, verdict, latest);
  return {
    verdict,
    said: room && roomSentence(standard, room),
    nearest: nearestNarrow(verdict, 2).map((one) => roomSentence(standard, one)),
  };
}

const blindSpot = mark('mirrors.blind-spot', 'strike');
const lamps = mark('controls.lights', 'strike');

describe('the limit that a mark came nearest to', () => {
  it('is that of its class of error where a standard counts by class', () => {
    expect(after(strikes, [blindSpot]).said).toBe('Missed observation checks: 1 of 2 left.');
    expect(after(strikes, [blindSpot, blindSpot]).said).toBe('Missed observation checks: none left of 2.');
    expect(after(strikes, [blindSpot, blindSpot, blindSpot]).said).toBe(
      'Missed observation checks: 3, 2 allowed. Fails the test.',
    );
  });

  it('is that of one fault type before its area, and of the area before the whole test', () => {
    const one = mark('junctions.approach', 'g2');
    expect(after(graded, [one]).said).toBe('Grade 2 for one thing, Junctions: approach speed: 2 of 3 left.');
    expect(after(graded, [one, one, one]).said).toMatch(/: none left of 3\.$/);
    expect(after(graded, [one, one, one, one]).said).toMatch(
      /^Grade 2 for one thing, .*: 4, 3 allowed\. Fails the test\.$/,
    );
    const several = ['approach', 'observation', 'giving-way', 'cutting', 'turn-across'].map((slug) =>
      mark(`junctions.${slug}`, 'g2'),
    );
    expect(after(graded, several).said).toBe('Grade 2 in one area, Junctions: none left of 5.');
  });

  it('is that of the whole test where none is narrower, and a fault that is not allowed once says so', () => {
    expect(after(tally, [mark('signs.lights', 'driving')]).said).toBe('Driving faults: 14 of 15 left.');
    expect(after(tally, [mark('signs.lights', 'serious')]).said).toBe(
      'Serious or dangerous faults: none allowed. Fails the test.',
    );
    expect(after(pointsOff, [mark('signals.missed', 'error')]).said).toBe('Points taken off: 16 of 20 left.');
  });

  it('is that of an exercise for what was marked in it', () => {
    expect(after(timedYard, [exerciseBegins('slope'), mark('slope.look', 'demerit')]).said).toMatch(
      /^Demerits in one exercise, Slope: \d of 5 left\.$/,
    );
    expect(after(timedYard, [exerciseBegins('slope'), mark('slope.line', 'fail')]).said).toBe(
      'Failing errors in one exercise, Slope: none allowed. Fails the exercise.',
    );
  });

  it('is none where a mark counts for nothing', () => {
    const { said, verdict } = after(graded, [mark('junctions.approach', 'g1')]);
    expect(said).toBeUndefined();
    expect(verdict.free).toHaveLength(1);
  });

  it('follows the last mark that was made, also where a pin puts its moment earlier, or one was taken back', () => {
    const log = logOf([
      [0, start('strikes')],
      [2, { type: 'pin' }, 'pin'],
      [5, mark('controls.lights', 'strike'), 'lamps'],
      [9, { type: 'mark', item: 'mirrors.blind-spot', grade: 'strike', pin: 'pin' }, 'late'],
    ]);
    expect(latestMark(log, foldDrive(log))?.id).toBe('late');
    const struck = [...log, ...logOf([[10, { type: 'strike', target: 'late', undo: true }]], 'phone')];
    expect(latestMark(struck, foldDrive(struck))?.id).toBe('lamps');
  });
});

describe('the two nearest limits within a part of the test', () => {
  it('are those with the least share left, what was crossed first', () => {
    expect(after(strikes, [blindSpot, blindSpot, lamps]).nearest).toEqual([
      'Missed observation checks: none left of 2.',
      'Handling strikes: 3 of 4 left.',
    ]);
    const rules = mark('signs.signs', 'strike');
    expect(after(strikes, [blindSpot, blindSpot, rules, rules]).nearest[0]).toBe(
      'Rules and priority strikes: 2, 1 allowed. Fails the test.',
    );
  });

  it('leave out limits that only ask a person', () => {
    const same = mark('junctions.observation', 'driving');
    expect(after(tally, [same, same, same, same]).nearest).toEqual([]);
  });
});

describe('the result so far', () => {
  const underWay = (bodies: readonly EventBody[], standard = tally) =>
    judgeDrive(
      standard,
      foldDrive(logOf([[0, start(standard.id)], ...bodies.map((body, i) => [1 + i, body] as const)])),
      11 * 60_000,
    );
  const ended: EventBody = { type: 'ended', ending: 'completed' };

  it('is said while the test goes on, and beside what is missing once it has ended', () => {
    const lights = mark('signs.lights', 'driving');
    expect(soFarSentence(tally, underWay([lights]))).toBe('So far: would pass, 1 of 15 driving faults.');
    expect(verdictSentence(tally, underWay([lights, ended]))).toMatch(
      /^No result yet: 2 of 30 minutes driven and .*\. So far: would pass, 1 of 15 driving faults\.$/,
    );
    expect(soFarSentence(tally, underWay([mark('signs.lights', 'serious')]))).toBe('Fail: 1 serious fault.');
  });

  it('is no result where the car has not moved off or nothing can be judged', () => {
    const waits = judgeDrive(tally, foldDrive(logOf([[0, { ...start(), briefing: true }]])));
    expect(soFarSentence(tally, waits)).toBe('So far: would pass, no faults.');
    const never = judgeDrive(
      tally,
      foldDrive(
        logOf([
          [0, { ...start(), briefing: true }],
          [1, ended],
        ]),
      ),
    );
    expect(soFarSentence(tally, never)).toBeUndefined();
    expect(verdictSentence(tally, underWay([mark('no.such', 'driving'), ended]))).not.toContain('So far');
  });

  it('becomes the result where somebody says why the test was short, until that is taken back', () => {
    const short: EventBody = { type: 'short', because: 'short-lesson' };
    const log = logOf([
      [0, start()],
      [3, mark('signs.lights', 'driving')],
      [11, ended],
      [12, short, 'short'],
    ]);
    const verdict = judgeDrive(tally, foldDrive(log));
    expect(verdictSentence(tally, verdict)).toBe('Pass: 1 of 15 driving faults (short mock test).');
    expect(foldDrive(log).short?.why).toEqual({ because: 'short-lesson' });
    const whole = [...log, ...logOf([[13, { type: 'strike', target: 'short' }]], 'phone')];
    expect(judgeDrive(tally, foldDrive(whole)).outcome).toBe('incomplete');
    const seconds = logOf([
      [0, start()],
      [1, short],
      [4.9, ended],
    ]);
    expect(verdictSentence(tally, judgeDrive(tally, foldDrive(seconds)))).toMatch(
      /^No result yet: 4 of 5 minutes driven\./,
    );
    // What has to be driven is asked of a short test as well, and a fault fails it.
    const grave = [...log, ...logOf([[4, mark('signs.lights', 'serious')]], 'phone')];
    expect(judgeDrive(tally, foldDrive(grave)).outcome).toBe('fail');
  });
});

describe('the headline of a pass', () => {
  const headline = (standard: EffectiveStandard, bodies: readonly EventBody[]) =>
    verdictSentence(standard, after(standard, bodies).verdict);

  it('counts what is listed, and calls what counts for nothing that', () => {
    expect(headline(strikes, [])).toBe('Pass: no faults.');
    expect(headline(strikes, [blindSpot, lamps])).toBe(
      'Pass: 2 strikes (nearest limit: missed observation checks, 1 of 2).',
    );
    expect(headline(graded, [mark('junctions.approach', 'g1')])).toBe('Pass: 1 fault that counts for nothing.');
    expect(headline(graded, [mark('junctions.approach', 'g1'), mark('junctions.approach', 'g2')])).toMatch(
      /^Pass: 1 of 8 .* and 1 fault that counts for nothing\.$/,
    );
  });

  it('never says “no faults” above a fault, in any standard', () => {
    for (const standard of [tally, graded, strikes, pointsOff, minorMajor, timedYard])
      for (const { items } of standard.categories)
        for (const item of items)
          for (const grade of item.grades ?? standard.grades.map(({ code }) => code)) {
            const words = headline(standard, [mark(item.code, grade)]);
            expect(`${item.code} ${grade} ${words}`).not.toContain('no faults');
          }
  });
});

describe('an exercise on the road that nobody ended', () => {
  it('is over where a fault lies along the way, and not by what it can bring itself', () => {
    const exercise = tally.exercises.find(({ code }) => code === 'parallel-park')!.code;
    expect(leavesExercise(tally, exercise, 'junctions.observation')).toBe(true);
    expect(leavesExercise(tally, exercise, 'controls.clutch')).toBe(false);
    expect(leavesExercise(tally, exercise, 'reversing.observation')).toBe(false);
    expect(leavesExercise(timedYard, timedYard.exercises[0]!.code, 'controls.stalled')).toBe(false);
    expect(leavesExercise(tally, exercise, 'no.such')).toBe(false);
  });
});
