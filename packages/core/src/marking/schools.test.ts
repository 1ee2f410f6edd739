import type { EventBody } from '../drive/event';
import { foldDrive } from '../drive/fold';
import { fullTest, logOf, start } from '../drive/testing';
import { judgeDrive } from './judge';
import { gradeOfValue } from './measured';
import { rulesOf } from './rules';
import type { EffectiveStandard } from './standard';
import {
  choosing,
  attemptsYard,
  graded,
  minorMajor,
  pointsOff,
  reversingArea,
  sequenceChecklist,
  strikes,
  timedYard,
} from './testing-standards';

const mark = (item: string, grade: string): EventBody => ({ type: 'mark', item, grade });
const times = (n: number, body: EventBody): EventBody[] => Array.from({ length: n }, () => body);
const judge = (standard: EffectiveStandard, ...bodies: EventBody[]) =>
  judgeDrive(standard, foldDrive(fullTest(bodies, standard.id)));
/** n different items that can have the grade, at most `perCategory` from each category. */
const spread = (standard: EffectiveStandard, grade: string, n: number, perCategory = 99): EventBody[] =>
  standard.categories
    .flatMap((category) => category.items.filter((item) => item.grades?.includes(grade) ?? true).slice(0, perCategory))
    .filter((item) => item.code !== 'checks.rules')
    .slice(0, n)
    .map((item) => mark(item.code, grade));

// Source of these values: written down from memory; the fail on thirteen grade 2 is common practice.
describe('graded marks', () => {
  it('passes with 8 grade 2 spread out, fails with 9 and with 13', () => {
    expect(judge(graded, ...spread(graded, 'g2', 8, 1)).outcome).toBe('pass');
    expect(judge(graded, ...spread(graded, 'g2', 9, 1)).reasons.map((r) => r.limit.code)).toEqual(['g2-in-all']);
    expect(judge(graded, ...spread(graded, 'g2', 13, 1)).outcome).toBe('fail');
  });

  it('fails with 6 in one category, with 4 on one item, and with one grade 3', () => {
    const controls = graded.categories.find(({ code }) => code === 'controls')!.items;
    const six = controls.slice(0, 6).map(({ code }) => mark(code, 'g2'));
    expect(judge(graded, ...six.slice(0, 5)).outcome).toBe('pass');
    expect(judge(graded, ...six).reasons.map((r) => r.limit.code)).toEqual(['g2-in-category']);
    expect(judge(graded, ...times(3, mark('signs.lights', 'g2'))).outcome).toBe('pass');
    expect(judge(graded, ...times(4, mark('signs.lights', 'g2'))).reasons[0]?.limit.code).toBe('g2-on-item');
    expect(judge(graded, mark('signs.lights', 'g3')).outcome).toBe('fail');
    expect(judge(graded, ...times(30, mark('signs.lights', 'g1'))).outcome).toBe('pass');
  });

  it('makes more than three wrong oral answers cost one mark', () => {
    const wrong = (n: number) => times(n, mark('checks.rules', 'g2'));
    const used = (n: number) =>
      judge(graded, ...wrong(n)).headroom.find(({ limit }) => limit.code === 'g2-in-all')?.used;
    expect([0, 3, 4, 9].map(used)).toEqual([0, 0, 1, 1]);
  });
});

// Common practice.
describe('minor and major', () => {
  it('passes with 12 minors, fails with 13, and with one major', () => {
    expect(judge(minorMajor, ...spread(minorMajor, 'minor', 12)).outcome).toBe('pass');
    expect(judge(minorMajor, ...spread(minorMajor, 'minor', 13)).outcome).toBe('fail');
    expect(judge(minorMajor, mark('controls.horn', 'major')).outcome).toBe('fail');
  });

  it('counts one minor made three times as three', () => {
    const verdict = judge(minorMajor, ...times(3, mark('controls.horn', 'minor')));
    expect(verdict.headroom.find(({ limit }) => limit.code === 'minors')?.used).toBe(3);
  });
});

// Common practice for 100, 4 for a signal and the disqualifications; the pass mark of 80 is a house default.
describe('points off', () => {
  it('takes 4 for a missed signal and passes with 80 left', () => {
    const missed = mark('signals.missed', 'error');
    expect(judge(pointsOff, missed).headroom[0]).toMatchObject({ used: 4, left: 16 });
    expect(judge(pointsOff, ...times(5, missed)).outcome).toBe('pass');
    expect(judge(pointsOff, ...times(5, missed), mark('set-up.seat', 'error')).outcome).toBe('fail');
  });

  it.each(['position.own-side', 'reversing.contact', 'yard.obstacle', 'reversing.looking-back', 'junctions.stop-line'])(
    'disqualifies at once for %s',
    (item) => expect(judge(pointsOff, mark(item, 'out')).reasons.map((r) => r.limit.code)).toEqual(['out']),
  );
});

// Common practice.
describe('strikes', () => {
  it('allows two missed observation checks, of whatever kind, and fails on the third', () => {
    const looks = [mark('mirrors.before-signal', 'strike'), mark('junctions.observation', 'strike')];
    expect(judge(strikes, ...looks).outcome).toBe('pass');
    expect(judge(strikes, ...looks, mark('moving-off.blind-spot', 'strike')).reasons[0]).toMatchObject({
      scope: 'observation',
      used: 3,
    });
    expect(judge(strikes, ...looks, mark('signals.timing', 'strike')).outcome).toBe('pass');
  });
});

const order = ['slope', 'brake', 'angle-bay', 'garage-bay', 'parallel-bay'] as const;

/** A yard test in which each exercise takes so many seconds; other marks fall into the first exercise. */
function yard(
  seconds: Partial<Record<(typeof order)[number], number>>,
  bodies: readonly EventBody[] = [],
  standard: EffectiveStandard = timedYard,
) {
  let atS = 0;
  const entries: (readonly [number, EventBody])[] = [[0, start(standard.id)]];
  for (const exercise of order) {
    entries.push([atS / 60, { type: 'section', section: 'exercise', exercise }]);
    if (exercise === 'slope') entries.push(...bodies.map((body) => [1 / 60, body] as const));
    atS += seconds[exercise] ?? 60;
    entries.push([atS / 60, { type: 'section', section: 'guided' }]);
  }
  entries.push([atS / 60 + 0.1, { type: 'ended', ending: 'completed' }]);
  return judgeDrive(standard, foldDrive(logOf(entries)));
}

// Common practice throughout.
describe('the timed yard', () => {
  it.each([
    ['slope', 90],
    ['brake', 90],
    ['angle-bay', 120],
    ['garage-bay', 180],
    ['parallel-bay', 300],
  ] as const)('gives %s %i s and not one more', (exercise, seconds) => {
    expect(yard({ [exercise]: seconds }).outcome).toBe('pass');
    const over = yard({ [exercise]: seconds + 1 });
    expect(over.reasons.map((r) => r.limit.code)).toEqual(['exercises']);
    expect(over.failedExercises).toMatchObject([{ scope: exercise, used: seconds + 1 }]);
  });

  it('gives a repeat of the garage bay 180 + 300 = 480 s, and asks for nothing else then', () => {
    const repeat = (seconds: number) =>
      judgeDrive(
        timedYard,
        foldDrive(
          logOf([
            [0, start('timed-yard')],
            [0, { type: 'section', section: 'exercise', exercise: 'garage-bay', retest: true }],
            [seconds / 60, { type: 'section', section: 'guided' }],
            [10, { type: 'ended', ending: 'completed' }],
          ]),
        ),
      );
    expect(repeat(480).outcome).toBe('pass');
    expect(repeat(481).outcome).toBe('fail');
  });

  it('fails the test over 20 min in all, pauses left out, at the moment they were over', () => {
    const drive = (endMin: number, paused: boolean) =>
      judgeDrive(
        { ...timedYard, requirements: [] },
        foldDrive(
          logOf([
            [0, start('timed-yard')],
            ...(paused
              ? ([
                  [3, { type: 'pause', state: 'paused' }],
                  [5, { type: 'pause', state: 'resumed' }],
                ] as const)
              : []),
            [endMin, { type: 'ended', ending: 'completed' }],
          ]),
        ),
      );
    expect(drive(20, false).outcome).toBe('pass');
    expect(drive(21, false).reasons[0]).toMatchObject({ crossedAtMs: 20 * 60_000, marks: [] });
    expect(drive(22, true).outcome).toBe('pass');
    expect(drive(23, true).reasons[0]?.crossedAtMs).toBe(22 * 60_000);
  });

  it('fails an exercise on six demerits, extra reverses weighing two', () => {
    expect(yard({}, times(5, mark('slope.look', 'demerit'))).outcome).toBe('pass');
    expect(yard({}, times(6, mark('slope.look', 'demerit'))).failedExercises[0]?.scope).toBe('slope');
    const reverses = times(2, mark('garage-bay.extra', 'demerit'));
    expect(yard({}, [...reverses, mark('garage-bay.look', 'demerit')]).outcome).toBe('pass');
    expect(yard({}, times(3, mark('garage-bay.extra', 'demerit'))).failedExercises[0]?.scope).toBe('garage-bay');
  });

  it('grades a roll-back by its distance, engine speed and speed by theirs', () => {
    const of = (item: string, value: number, standard: EffectiveStandard = timedYard) =>
      gradeOfValue(rulesOf(standard).items.get(item)!.item.measured!, value);
    expect([15, 15.1, 29.9, 30].map((cm) => of('slope.roll-back', cm))).toEqual([
      undefined,
      'demerit',
      'demerit',
      'fail',
    ]);
    expect([3000, 3001].map((rpm) => of('slope.revs', rpm))).toEqual([undefined, 'fail']);
    expect([19, 20, 30, 31].map((v) => of('brake.speed', v))).toEqual(['fail', undefined, undefined, 'fail']);
    expect([35, 36].map((v) => of('whole.overspeed', v))).toEqual([undefined, 'fail']);
    expect(of('whole.overspeed', 35, choosing(timedYard, 'yard-speed', 'over-34'))).toBe('fail');
    expect(of('brake.speed', 26, choosing(timedYard, 'brake-speed', '20-25'))).toBe('fail');
  });

  it('fails the test the third time the engine stops, or the fourth where the option says so', () => {
    const stalls = (n: number, standard?: EffectiveStandard) =>
      yard({}, times(n, mark('whole.stalled', 'demerit')), standard);
    expect(stalls(2).outcome).toBe('pass');
    expect(stalls(3).reasons.map((r) => r.limit.code)).toEqual(['engine']);
    const lenient = choosing(timedYard, 'engine-stops', 'more-than-three');
    expect(stalls(3, lenient).outcome).toBe('pass');
    expect(stalls(4, lenient).outcome).toBe('fail');
  });

  it('fails the test for belt or door, and is incomplete without an exercise', () => {
    expect(yard({}, [mark('whole.belts', 'fail')]).reasons.map((r) => r.limit.code)).toContain('yard-rules');
    const verdict = judgeDrive(timedYard, foldDrive(fullTest([], 'timed-yard').slice(0, 1)));
    expect(verdict.missing.filter((m) => m.kind === 'exercise')).toHaveLength(5);
  });
});

// Common practice.
describe('the attempts yard', () => {
  const goes = (exercise: string, n: number, steps = 0) =>
    judgeDrive(
      { ...attemptsYard, requirements: [] },
      foldDrive(
        logOf([
          [0, start('attempts-yard')],
          ...Array.from({ length: n }, (_, i) => [i + 1, { type: 'section', section: 'exercise', exercise }] as const),
          ...Array.from({ length: steps }, (_, i) => [n + 0.1 * (i + 1), { type: 'step', step: 'movement' }] as const),
          [20, { type: 'ended', ending: 'completed' }],
        ]),
      ),
    );

  it('gives the docks two attempts and the turn one', () => {
    expect(goes('alley-left', 2).outcome).toBe('pass');
    expect(goes('alley-left', 3).failedExercises[0]).toMatchObject({ scope: 'alley-left', crossedAtMs: 180_000 });
    expect(goes('turn-in-road', 1).outcome).toBe('pass');
    expect(goes('turn-in-road', 2).outcome).toBe('fail');
  });

  it('gives a parallel park three movements in one attempt', () => {
    expect(goes('parallel-left', 1, 3).outcome).toBe('pass');
    const four = goes('parallel-left', 1, 4);
    expect(four.failedAttempts[0]?.limit.code).toBe('movements-parallel-left');
    // One attempt is left: the fourth movement failed this one and not the test.
    expect(four).toMatchObject({ outcome: 'incomplete', missing: [{ kind: 'exercise', attempted: true }] });
    expect(goes('turn-in-road', 1, 4).outcome).toBe('fail');
  });

  it('ends the test on a touched line', () => {
    expect(judge(attemptsYard, mark('alley-left.line', 'ends')).reasons.map((r) => r.limit.code)).toContain('touched');
  });
});

// Common practice.
describe('the reversing area', () => {
  const reverse = (standard: EffectiveStandard, ...bodies: EventBody[]) =>
    judgeDrive(
      standard,
      foldDrive(
        logOf([
          [0, start('reversing-area')],
          [1, { type: 'section', section: 'exercise', exercise: 'reverse' }],
          ...bodies.map((body, i) => [2 + i, body] as const),
          [19, { type: 'ended', ending: 'completed' }],
        ]),
      ),
    );
  const shunt = (grade: string) => mark('reverse.shunt', grade);

  it('allows two pull-forwards, each costing a fault unless the option frees them', () => {
    const two = reverse(reversingArea, ...times(2, shunt('fault')));
    expect(two.outcome).toBe('pass');
    expect(two.headroom.find(({ limit }) => limit.code === 'faults')?.used).toBe(2);
    expect(reverse(reversingArea, ...times(3, shunt('fault'))).outcome).toBe('fail');
    const free = choosing(reversingArea, 'shunt', 'free');
    const unpaid = reverse(free, ...times(2, shunt('noted')));
    expect(unpaid.headroom.find(({ limit }) => limit.code === 'faults')?.used).toBe(0);
    expect(reverse(free, ...times(3, shunt('noted'))).outcome).toBe('fail');
  });

  it('allows one look from outside, an overhang, and no touch', () => {
    const look: EventBody = { type: 'step', step: 'look' };
    expect(reverse(reversingArea, look, mark('touch.overhang', 'noted')).outcome).toBe('pass');
    expect(reverse(reversingArea, look, look).outcome).toBe('fail');
    expect(reverse(reversingArea, mark('touch.line', 'serious')).outcome).toBe('fail');
    expect(reverse(reversingArea, mark('touch.marker', 'serious')).outcome).toBe('fail');
  });
});

// The allowance of five is a house default.
describe('the sequence checklist', () => {
  it('counts a competence once however often it went wrong', () => {
    const turn = mark('junctions.turn-across', 'not-yet');
    expect(judge(sequenceChecklist, ...times(9, turn)).outcome).toBe('pass');
    expect(judge(sequenceChecklist, ...spread(sequenceChecklist, 'not-yet', 5)).outcome).toBe('pass');
    expect(judge(sequenceChecklist, ...spread(sequenceChecklist, 'not-yet', 6)).outcome).toBe('fail');
  });
});

describe('an upgrade that a standard makes automatic', () => {
  const strict: EffectiveStandard = {
    ...minorMajor,
    limits: [
      ...minorMajor.limits,
      {
        code: 'habit',
        name: 'Habit',
        scope: { kind: 'item' },
        measure: { kind: 'count', grades: ['minor'] },
        allowed: { value: 2, provenance: { kind: 'house default', source: 'test' } },
        effect: { kind: 'upgrade', grade: 'major' },
      },
    ],
  };

  it('counts the mark that makes the habit as the graver grade as well', () => {
    expect(judge(strict, ...times(2, mark('controls.horn', 'minor'))).outcome).toBe('pass');
    const verdict = judge(strict, ...times(3, mark('controls.horn', 'minor')));
    expect(verdict.reasons.map((r) => r.limit.code)).toEqual(['majors']);
    expect(verdict.upgrades[0]).toMatchObject({ scope: 'controls.horn', used: 3 });
    expect(judge(minorMajor, ...times(3, mark('controls.horn', 'minor'))).outcome).toBe('pass');
  });
});
