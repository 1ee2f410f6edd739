import fc from 'fast-check';
import { graded, minorMajor, tally } from '../marking/testing-standards';
import { checkCodes, checklist, wanted, type CheckCode, type ReadinessItem } from './checklist';
import { severities, type Evidence } from './evidence';
import { cleanDrive } from './testing-learners';

const on = new Date('2026-06-30T12:00:00Z');
const daysBefore = (days: number) => new Date(on.getTime() - days * 86_400_000).toISOString();
const item = <C extends CheckCode>(code: C, evidence: readonly Evidence[], questions?: number) =>
  checklist(tally, evidence, on, questions).find((one) => one.code === code) as Extract<ReadinessItem, { code: C }>;
const failed = (at: string, more: Partial<Evidence> = {}) =>
  cleanDrive(at, { counts: { 'junctions.observation': { counted: 0, outright: 1 } }, ...more });

it('asks for three mock tests of ninety minutes in eight weeks, and counts no older and no later ones', () => {
  const three = [1, 10, 55].map((days) => cleanDrive(daysBefore(days)));
  expect(item('evidence', three)).toMatchObject({ ok: true, tests: 3, minutes: 120 });
  expect(item('evidence', [...three.slice(1), cleanDrive(daysBefore(57))])).toMatchObject({ ok: false, tests: 2 });
  expect(item('evidence', [...three.slice(1), cleanDrive(daysBefore(-1))])).toMatchObject({ ok: false, tests: 2 });
  const short = [1, 10, 55].map((days) => cleanDrive(daysBefore(days), { minutes: 29 }));
  expect(item('evidence', short)).toMatchObject({ ok: false, tests: 3, minutes: 87, wantedMinutes: wanted.minutes });
});

it('counts whole tests alone as evidence, but looks at every drive for what failed', () => {
  const drives = [cleanDrive(daysBefore(9)), cleanDrive(daysBefore(5)), failed(daysBefore(1), { completed: false })];
  expect(item('evidence', drives)).toMatchObject({ tests: 2 });
  expect(item('last-two', drives)).toMatchObject({ ok: false, drives: 2, failing: 1, controls: 0 });
});

it('wants the last two without a failing fault and without the instructor’s hands or feet', () => {
  const [old, one, last] = [failed(daysBefore(20)), cleanDrive(daysBefore(9)), cleanDrive(daysBefore(2))];
  expect(item('last-two', [old, one, last])).toMatchObject({ ok: true, drives: 2, failing: 0 });
  expect(item('last-two', [one, { ...last, interventions: 1 }])).toMatchObject({ ok: false, failing: 0, controls: 1 });
  expect(item('last-two', [last])).toMatchObject({ ok: false, drives: 1 });
  // In the order of their days, whatever order they come in.
  expect(item('last-two', [last, old, one])).toMatchObject({ ok: true });
  expect(item('last-two', []).grades.length).toBeGreaterThan(0);
});

it('believes the trace before what was said of the roads', () => {
  const known = cleanDrive(daysBefore(3), { familiarity: 'known' });
  expect(item('unfamiliar', [known])).toMatchObject({ ok: false, tests: 0 });
  expect(item('unfamiliar', [cleanDrive(daysBefore(3), { familiarity: 'new' })])).toMatchObject({ ok: true, tests: 1 });
  expect(item('unfamiliar', [{ ...known, knownShare: 0.1 }])).toMatchObject({ ok: true, tests: 1 });
  expect(item('unfamiliar', [cleanDrive(daysBefore(3), { familiarity: 'new', knownShare: 0.9 })])).toMatchObject({
    ok: false,
  });
});

it('takes the longest independent part, at least three quarters of what a test has', () => {
  const enough = item('independent', []).enoughMin;
  expect(enough).toBe(Math.round(0.75 * tally.length.independentMin!.value));
  const drive = (independentMin: number) => cleanDrive(daysBefore(4), { independentMin });
  expect(item('independent', [drive(3), drive(enough)])).toMatchObject({ ok: true, bestMin: enough });
  expect(item('independent', [drive(enough - 1)])).toMatchObject({ ok: false });
  expect(item('independent', [])).toMatchObject({ ok: false, bestMin: 0 });
});

it('asks for each exercise once without a fault, whenever it was', () => {
  const all = minorMajor.exercises.map(({ code }) => code);
  const of = (evidence: readonly Evidence[]) =>
    checklist(minorMajor, evidence, on, undefined).find(({ code }) => code === 'exercises');
  expect(all.length).toBeGreaterThan(1);
  const [first, ...rest] = all;
  const drives = [
    cleanDrive(daysBefore(3), { cleanExercises: [first!] }),
    cleanDrive(daysBefore(2), { cleanExercises: rest }),
  ];
  expect(of(drives)).toMatchObject({ ok: true, open: [], all: all.length });
  expect(of(drives.slice(1))).toMatchObject({ ok: false, open: [minorMajor.exercises[0]!.name] });
});

it('wants safety questions right nine times of ten, where the standard asks them', () => {
  expect(item('questions', [], 0.9)).toMatchObject({ ok: true });
  expect(item('questions', [], 0.899)).toMatchObject({ ok: false, chance: 0.899 });
  expect(item('questions', [])).toBeUndefined();
});

it('allows less than one prompt in twenty minutes', () => {
  const forty = (prompts: number) => cleanDrive(daysBefore(3), { prompts, minutes: 40 });
  expect(item('prompts', [forty(0)])).toMatchObject({ ok: true });
  expect(item('prompts', [forty(1)])).toMatchObject({ ok: true, prompts: 1, minutes: 40 });
  expect(item('prompts', [forty(2)])).toMatchObject({ ok: false });
  expect(item('prompts', [])).toMatchObject({ ok: true, minutes: 0 });
});

it('says of each thing once how it stands, whatever was driven', () => {
  const evidence = fc.array(
    fc.record({
      days: fc.integer({ min: -5, max: 90 }),
      minutes: fc.integer({ min: 0, max: 60 }),
      prompts: fc.nat(5),
      interventions: fc.nat(2),
      completed: fc.boolean(),
      faults: fc.nat(2),
    }),
    { maxLength: 8 },
  );
  fc.assert(
    fc.property(
      evidence,
      fc.option(fc.double({ min: 0, max: 1, noNaN: true }), { nil: undefined }),
      (drives, questions) => {
        const all = drives.map(({ days, faults, ...more }) =>
          cleanDrive(daysBefore(days), {
            ...more,
            counts: { 'junctions.observation': { counted: 0, outright: faults } },
          }),
        );
        for (const standard of [tally, graded, minorMajor]) {
          const items = checklist(standard, all, on, questions);
          const codes = items.map(({ code }) => code);
          expect(new Set(codes).size).toBe(codes.length);
          expect(codes).toEqual(checkCodes.filter((code) => codes.includes(code)));
          expect(codes.includes('questions')).toBe(questions !== undefined);
          // One clean test more takes nothing away from what is there already but from the last two.
          const more = checklist(standard, [...all, cleanDrive(daysBefore(0))], on, questions);
          for (const one of items.filter(({ ok, code }) => ok && code !== 'last-two'))
            expect(more.find(({ code }) => code === one.code)!.ok).toBe(true);
        }
      },
    ),
  );
  expect(severities).toContain('outright');
});
