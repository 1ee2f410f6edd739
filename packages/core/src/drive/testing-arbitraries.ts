import fc from 'fast-check';
import { allCells, rulesOf } from '../marking/rules';
import { tally } from '../marking/testing-standards';
import {
  attemptResults,
  checkResults,
  endingCauses,
  endings,
  familiarities,
  sectionKinds,
  stepKinds,
  usualReasons,
} from './event-kinds';
import type { DriveEvent, EventBody } from './event';

const keys = allCells(rulesOf(tally)).map(({ item, grade }) => [item, grade] as const);

/** A mark that the tally standard knows. */
export const anyMark: fc.Arbitrary<EventBody> = fc
  .constantFrom(...keys)
  .map(([item, grade]) => ({ type: 'mark', item, grade }) as const);

const target = fc.integer({ min: 0, max: 30 }).map((n) => `id-${n}`);

/** Degrees up to so many; JSON knows no zero below zero. */
const degrees = (most: number) => fc.double({ min: -most, max: most, noNaN: true }).map((value) => value + 0);

const anyBody: fc.Arbitrary<EventBody> = fc.oneof(
  { weight: 5, arbitrary: anyMark },
  {
    weight: 1,
    arbitrary: fc
      .record({
        item: fc.constantFrom(...keys.filter(([, grade]) => grade === 'driving').map(([item]) => item)),
        pin: target,
      })
      .map(({ item, pin }) => ({ type: 'mark', item, grade: 'driving', pin }) as const),
  },
  fc.constant({ type: 'pin' } as const),
  fc.constant({ type: 'prompt' } as const),
  fc.constant({ type: 'intervention' } as const),
  fc.record(
    {
      type: fc.constant('strike' as const),
      target,
      because: fc.constantFrom(...usualReasons),
      reason: fc.string(),
      undo: fc.boolean(),
    },
    { requiredKeys: ['type', 'target', 'undo'] },
  ),
  fc.record(
    { type: fc.constant('help-for' as const), target, mark: target, reason: fc.string({ minLength: 1 }) },
    { requiredKeys: ['type', 'target'] },
  ),
  fc.record({
    type: fc.constant('regrade' as const),
    target,
    grade: fc.constantFrom('driving', 'serious', 'dangerous'),
  }),
  fc.record({ type: fc.constant('section' as const), section: fc.constantFrom(...sectionKinds) }),
  fc.record({
    type: fc.constant('section' as const),
    section: fc.constant('exercise' as const),
    exercise: fc.constantFrom(...tally.exercises.map(({ code }) => code)),
    retest: fc.boolean(),
  }),
  fc
    .record({ mark: anyMark, from: fc.nat(100_000), long: fc.nat(5000) })
    .map(
      ({ mark, from, long }) => ({ ...mark, detected: { run: 'run', fromMs: from, toMs: from + long } }) as EventBody,
    ),
  fc.record({
    type: fc.constant('place' as const),
    target,
    lat: degrees(90),
    lon: degrees(180),
  }),
  fc.record({ type: fc.constant('look' as const), look: fc.constantFrom('all-round', 'mirrors') }),
  fc.record({
    type: fc.constant('run' as const),
    run: fc.constantFrom('run', 'other'),
    clockMs: fc.nat(100_000),
    retest: fc.boolean(),
  }),
  fc.record({ type: fc.constant('step' as const), step: fc.constantFrom(...stepKinds) }),
  fc.record({ type: fc.constant('attempt' as const), result: fc.constantFrom(...attemptResults) }),
  fc.record({ type: fc.constant('pause' as const), state: fc.constantFrom('paused' as const, 'resumed' as const) }),
  fc.record({ type: fc.constant('ended' as const), ending: fc.constantFrom(...endings) }),
  fc.record({
    type: fc.constant('ended' as const),
    ending: fc.constant('abandoned' as const),
    cause: fc.constantFrom(...endingCauses),
  }),
  fc.record({
    type: fc.constant('check' as const),
    check: fc.constantFrom('documents', 'eyesight', 'cockpit'),
    result: fc.constantFrom(...checkResults),
  }),
  fc.constant({ type: 'moved-off' } as const),
  fc.record({
    type: fc.constant('answer' as const),
    item: fc.constantFrom('checks.tell', 'checks.show'),
    right: fc.boolean(),
  }),
  fc.record({ type: fc.constant('note' as const), text: fc.string({ minLength: 1 }), target }),
  anyPrivateNote(),
  fc.record({ type: fc.constant('distinct' as const), target, other: target }),
  fc.record({ type: fc.constant('advice' as const), target, answers: fc.constant({}), proposed: fc.constant('none') }),
  fc.record({ type: fc.constant('roads' as const), familiarity: fc.constantFrom(...familiarities) }),
  fc.record({ type: fc.constant('debriefed' as const), workOn: fc.subarray(keys.slice(0, 4).map(([item]) => item)) }),
);

/** What no reader but the instructor may meet; no other text of a log holds this word. */
export const secretWord = 'for-my-eyes-alone';

function anyPrivateNote(): fc.Arbitrary<EventBody> {
  return target.map((about) => ({ type: 'note', text: secretWord, target: about, private: true }) as const);
}

/** Any log, sensible or not: ids `id-0`, `id-1` … are its events, which may point at each other as they like. */
export const anyLog: fc.Arbitrary<readonly DriveEvent[]> = fc
  .array(fc.record({ body: anyBody, atMs: fc.nat(3_000_000), device: fc.constantFrom('front', 'back') }), {
    maxLength: 30,
  })
  .chain((entries) => fc.tuple(fc.constant(entries), fc.boolean()))
  .map(([entries, briefing]) => [
    stamp(
      {
        type: 'started',
        learnerId: 'learner',
        standard: { id: 'tally', version: tally.version },
        ...(briefing && { briefing }),
      },
      'id-start',
      'front',
      0,
      0,
    ),
    ...entries.map(({ body, atMs, device }, i) => stamp(body, `id-${i}`, device, i + 1, atMs)),
  ]);

function stamp(body: EventBody, id: string, device: string, seq: number, atMs: number): DriveEvent {
  return {
    ...body,
    id,
    device,
    seq,
    atMs,
    wall: new Date(Date.UTC(2026, 4, 4) + atMs).toISOString(),
    by: 'instructor',
  };
}
