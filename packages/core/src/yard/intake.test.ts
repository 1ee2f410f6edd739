import fc from 'fast-check';
import { gapMs, settleMs, startIntake, type Taken } from './intake';
import type { SentSample } from './sample';

/** What comes of these, to the end. */
function taken(sent: readonly SentSample[]) {
  const intake = startIntake();
  const all: Taken[] = [...sent.flatMap((one) => intake.take(one)), ...intake.end()];
  return {
    times: all.flatMap((one) => (one.kind === 'sample' ? one.sample.at : [])),
    gaps: all.flatMap((one) => (one.kind === 'gap' ? [[one.from, one.to]] : [])),
    leftOut: intake.leftOut(),
    span: intake.span(),
  };
}
const at = (...times: readonly number[]) => times.map((one) => ({ at: one, speed: 5 }));

it('puts what comes late in its place, and leaves out what comes later than the wait', () => {
  expect(taken(at(0, 100, 50, 150)).times).toEqual([0, 50, 100, 150]);
  const { times, leftOut } = taken(at(0, 50, 100, 100 + settleMs + 50, 60, 400));
  expect(times).toEqual([0, 50, 100, 350, 400]);
  expect(leftOut).toEqual({ untimed: 0, doubled: 0, late: 1 });
});

it('keeps the first of one moment', () => {
  const { times, leftOut } = taken([
    { at: 0, speed: 1 },
    { at: 50, speed: 2 },
    { at: 50, speed: 3 },
    { at: 0, speed: 4 },
  ]);
  expect([times, leftOut.doubled]).toEqual([[0, 50], 2]);
});

it('says where nothing was heard, and only there', () => {
  expect(taken(at(0, gapMs)).gaps).toEqual([]);
  expect(taken(at(0, gapMs + 1)).gaps).toEqual([[0, gapMs + 1]]);
});

it('takes a time far ahead for nonsense until others agree with it', () => {
  const far = 3_600_000;
  expect(taken(at(0, far, 50, 100))).toMatchObject({
    times: [0, 50, 100],
    leftOut: { untimed: 1 },
    span: { from: 0, to: 100 },
  });
  const moved = Array.from({ length: 30 }, (_, i) => far + 50 * i);
  const { times, gaps } = taken(at(0, 50, ...moved));
  expect(gaps).toEqual([[50, moved[19]]]);
  expect(times.slice(2)).toEqual(moved.slice(19));
});

it('gives every sample once and in order, whatever comes', () => {
  const anything = fc.record(
    { at: fc.oneof(fc.nat(5000), fc.double(), fc.string(), fc.constant(null)), speed: fc.anything() },
    { requiredKeys: [] },
  );
  fc.assert(
    fc.property(fc.array(anything, { maxLength: 80 }), (sent) => {
      const { times, leftOut } = taken(sent);
      expect([...times].sort((a, b) => a - b)).toEqual(times);
      expect(new Set(times).size).toBe(times.length);
      expect(times.length + leftOut.untimed + leftOut.doubled + leftOut.late).toBe(sent.length);
    }),
  );
});
