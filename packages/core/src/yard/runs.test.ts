import fc from 'fast-check';
import { foldDrive } from '../drive/fold';
import { countBy } from '../marking/grouping';
import { attemptsYard as attempts, reversingArea as reversing, timedYard as timed } from '../marking/testing-standards';
import { startDetector } from './detector';
import type { Finding } from './findings';
import { findingsOf } from './judge-run';
import { startRunEvents } from './run-events';
import { overBadLine, randomPlan, simulateRun, truthOf } from './simulate-run';
import { readRunCsv, writeRunCsv } from './telemetry-csv';
import { judged, planWith, runWith } from './testing-runs';
import type { SentSample } from './sample';

const itemsOf = (marks: readonly { readonly item: string }[]) => countBy(marks, ({ item }) => item);
const seeds = fc.integer({ min: 1, max: 1_000_000 });

it.each([timed, attempts, reversing])(
  'finds what truly happened over a bad line, under the standard $id',
  (standard) => {
    fc.assert(
      fc.property(seeds, (seed) => {
        const plan = randomPlan(standard, seed, 0.2);
        // A peak shown for two samples may be lost: what is measured has its own tests.
        const calm = {
          ...plan,
          exercises: plan.exercises.map((one) => ({
            ...one,
            slips: one.slips.filter(({ value }) => value === undefined),
          })),
        };
        const sent = overBadLine(simulateRun(standard, calm), seed, 0.02, 50);
        const truth = truthOf(standard, calm).filter(({ measured }) => measured === undefined);
        const found = judged(sent, standard).drive.marks.filter(({ measured }) => measured === undefined);
        expect(itemsOf(found)).toEqual(itemsOf(truth));
      }),
      { numRuns: 25 },
    );
  },
);

it('says the same live, in a replay from any moment, and from a file', () => {
  fc.assert(
    fc.property(seeds, fc.nat(2000), (seed, cut) => {
      const sent = overBadLine(simulateRun(timed, randomPlan(timed, seed, 0.2)), seed, 0.02, 50);
      const whole = judged(sent);
      const file = readRunCsv(writeRunCsv(sent));
      expect('run' in file && judged(file.run.samples).events).toEqual(whole.events);
      // Live: a part, then a reload that reads it again with the rest; events by their ids, each once.
      const run = {
        run: 'run',
        atMs: 0,
        clockMs: Math.round(whole.span!.from),
        wall: '2026-05-04T09:00:00.000Z',
        by: 'instructor',
      };
      const log = new Map<string, unknown>();
      for (const part of [sent.slice(0, cut), sent]) {
        const [detector, events] = [startDetector(timed), startRunEvents(run)];
        const keep = (found: readonly Finding[]) => {
          for (const event of events(found)) {
            expect(log.get(event.id) ?? event).toEqual(event);
            log.set(event.id, event);
          }
        };
        for (const sample of part) keep(detector.take(sample));
        if (part === sent) keep(detector.end());
      }
      const detected = whole.events.filter(({ device }) => device === 'run');
      expect([...log.values()]).toEqual(detected);
    }),
    { numRuns: 15 },
  );
});

it('judges nothing in a gap, and says so', () => {
  const samples = simulateRun(timed, planWith('garage-bay', [{ sign: 'line' }]));
  const line = samples.findIndex((one) => one.line);
  const [from, to] = [samples[line]!.at - 2000, samples[line]!.at + 2200];
  const { findings } = findingsOf(
    timed,
    samples.filter(({ at }) => at <= from || at >= to),
  );
  expect(findings.filter(({ kind }) => kind === 'gap')).toEqual([{ kind: 'gap', at: from, to }]);
  expect(findings.filter(({ kind }) => kind === 'mark')).toEqual([]);
  expect(findings.some((one) => one.kind === 'exercise-left' && one.exercise === 'garage-bay')).toBe(true);
});

it('is not shaken by nonsense between the samples', () => {
  const samples = simulateRun(timed, planWith('slope', [{ sign: 'roll-back', value: 20 }]));
  const nonsense = (sample: SentSample, i: number): readonly SentSample[] => {
    const at = sample.at as number;
    switch (i % 5) {
      case 0:
        return [sample, sample];
      case 1:
        return [{ ...sample, at: Number.NaN }, sample];
      case 2:
        return [sample, { ...sample, at: at + 3_600_000, line: true }];
      case 3:
        // A channel that says what cannot be is left out of its sample.
        return [{ ...sample, speed: 4000, rpm: Number.NaN, gear: '9' }];
      default:
        return [sample, { ...sample, at: at - 5000, belt: false }];
    }
  };
  const { drive, leftOut, verdict } = judged(samples.flatMap(nonsense));
  expect(drive.marks.map(({ item, measured }) => [item, measured])).toEqual([['slope.roll-back', 20]]);
  expect(verdict.outcome).toBe('pass');
  expect(Object.values(leftOut).every((n) => n > 0)).toBe(true);
});

it('counts what a person marks as well once, and lets the person decide the grade', () => {
  const run = runWith('garage-bay', [{ sign: 'extra-reverse' }]);
  const own = run.drive.marks[0]!;
  const stamp = { device: 'tablet', seq: 0, wall: '2026-05-04T09:01:00.000Z', by: 'instructor' };
  const log = [
    ...run.events,
    { ...stamp, id: 'hand', type: 'mark' as const, item: own.item, grade: own.grade, atMs: own.atMs + 3000 },
  ];
  const both = foldDrive(log);
  expect(both.marks).toEqual([expect.objectContaining({ id: 'hand', detected: own.detected })]);
  expect(both.doubles).toEqual([]);
  const apart = [
    ...log,
    { ...stamp, id: 'two', seq: 1, type: 'distinct' as const, target: own.id, other: 'hand', atMs: own.atMs + 4000 },
  ];
  expect(foldDrive(apart).marks).toHaveLength(2);
  // Struck by the person, what the sensors saw stands again until it is struck as well.
  const struck = [
    ...log,
    { ...stamp, id: 'no', seq: 1, type: 'strike' as const, target: 'hand', reason: 'not so', atMs: own.atMs + 4000 },
  ];
  expect(
    foldDrive(struck)
      .marks.filter((mark) => !mark.struck)
      .map(({ id }) => id),
  ).toEqual([own.id]);
});

it('fails the third pull-forward of the reversing area and allows two', () => {
  const pulls = (n: number) => Array.from({ length: n }, () => ({ sign: 'pull-forward' as const }));
  expect(runWith('reverse', pulls(2), { standard: reversing }).verdict.outcome).toBe('pass');
  expect(runWith('reverse', pulls(3), { standard: reversing }).verdict.outcome).toBe('fail');
});

it('counts the movements of the attempts yard on both sides, and ends it at a line', () => {
  const again = [{ sign: 'extra-reverse' }] as const;
  // Pulling forward once more makes three movements, twice five.
  expect(runWith('parallel-left', again, { standard: attempts }).verdict.outcome).toBe('pass');
  expect(runWith('parallel-right', [...again, ...again], { standard: attempts }).verdict.failedAttempts).toHaveLength(
    1,
  );
  expect(runWith('alley-right', [{ sign: 'line' }], { standard: attempts }).verdict.outcome).toBe('fail');
});

it('reads whatever stands in a file without breaking, and judges what is left', () => {
  const piece = fc.constantFrom(
    'at_ms',
    'speed_kmh',
    'gear',
    'zone',
    'brake',
    ',',
    '\n',
    '\r\n',
    '"',
    '0',
    '50',
    '1e400',
    '-',
    'R',
    'slope',
    '\u0000',
    ' ',
  );
  fc.assert(
    fc.property(fc.array(fc.oneof(piece, fc.string()), { maxLength: 60 }), (parts) => {
      const read = readRunCsv(parts.join(''));
      if (!('run' in read)) {
        expect(read.problem.code).toEqual(expect.any(String));
        return;
      }
      const { findings, span } = findingsOf(timed, read.run.samples);
      if (span === undefined) expect(findings).toEqual([]);
      // What is written again says the same.
      const again = readRunCsv(writeRunCsv(read.run.samples));
      expect('run' in again && findingsOf(timed, again.run.samples).findings).toEqual(findings);
    }),
    { numRuns: 300 },
  );
});
