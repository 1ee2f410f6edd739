import fc from 'fast-check';
import { behaviours } from '../catalogue/catalogue';
import type { Mark } from '../drive/drive';
import { exerciseStepKinds } from '../drive/event-kinds';
import type { DriveEvent, EventBody } from '../drive/event';
import { logOf, start } from '../drive/testing';
import { houseDefault } from './provenance';
import { gradesOf, rulesOf } from './rules';
import type { Cap, Item, Limit, LimitEffect, LimitScope, EffectiveStandard } from './standard';
import { tally } from './testing-standards';

const made = (value: number) => houseDefault(value, 'made up');
const grades = (['noted', 'counted', 'outright'] as const).map((sign, i) => ({
  code: `g${i}`,
  name: `grade ${i}`,
  plural: `grade ${i} marks`,
  short: `g${i}`,
  sign,
  meaning: '',
  points: made(i),
}));
const gradeCodes = grades.map(({ code }) => code);
const exercises = [
  { code: 'one', name: 'One' },
  { code: 'two', name: 'Two' },
];
const classes = [
  { code: 'a', name: 'A' },
  { code: 'b', name: 'B' },
];
const letters = 'ABCDEFGH';

const someGrades = fc.subarray(gradeCodes, { minLength: 1 });

const anyCategories = fc
  .array(
    fc.array(
      fc.record(
        {
          behaviour: fc.constantFrom(...behaviours.map(({ code }) => code)),
          grades: someGrades,
          class: fc.constantFrom('a', 'b'),
          exercise: fc.constantFrom('one', 'two'),
        },
        { requiredKeys: ['behaviour'] },
      ),
      { minLength: 1, maxLength: 4 },
    ),
    { minLength: 1, maxLength: 4 },
  )
  .map((rows) =>
    rows.map((items, c) => ({
      code: `c${c}`,
      name: `Category ${c}`,
      letter: letters[c]!,
      items: items.map((item, i): Item => ({ ...item, code: `c${c}i${i}`, name: `Item ${i}`, letter: letters[i]! })),
    })),
  );

const anyScope: fc.Arbitrary<LimitScope> = fc.constantFrom(
  { kind: 'test' },
  { kind: 'category' },
  { kind: 'item' },
  { kind: 'class' },
  { kind: 'class', class: 'a' },
  { kind: 'exercise' },
  { kind: 'exercise', exercise: 'one' },
);

const anyEffect: fc.Arbitrary<LimitEffect> = fc.constantFrom(
  { kind: 'fail-test' },
  { kind: 'fail-test' },
  { kind: 'fail-exercise' },
  { kind: 'ask-upgrade', grade: 'g2' },
  { kind: 'upgrade', grade: 'g2' },
);

const anyLimits: fc.Arbitrary<readonly Limit[]> = fc
  .array(
    fc.record({
      scope: anyScope,
      kind: fc.constantFrom('count' as const, 'points' as const),
      grades: someGrades,
      allowed: fc.nat(6),
      effect: anyEffect,
    }),
    { minLength: 1, maxLength: 6 },
  )
  .map((rows) => [
    ...rows.map(({ scope, kind, grades: of, allowed, effect }, i): Limit => ({
      code: `l${i}`,
      name: `Limit ${i}`,
      scope,
      measure: { kind, grades: of },
      allowed: made(allowed),
      effect: effect.kind === 'fail-exercise' && scope.kind !== 'exercise' ? { kind: 'fail-test' } : effect,
    })),
    {
      code: 'exercises',
      name: 'Exercises failed',
      scope: { kind: 'test' },
      measure: { kind: 'failed-exercises' },
      allowed: made(0),
      effect: { kind: 'fail-test' },
    },
  ]);

/** A school of marking nobody has thought of; with caps or, for laws that caps bend, without. */
export function anyStandard(withCaps: boolean): fc.Arbitrary<EffectiveStandard> {
  return fc
    .record({
      categories: anyCategories,
      limits: anyLimits,
      caps: fc.array(
        fc.record({ at: fc.nat(3), grades: someGrades, each: fc.boolean(), free: fc.nat(2), atMost: fc.nat(3) }),
        { maxLength: withCaps ? 2 : 0 },
      ),
    })
    .map(({ categories, limits, caps }) => ({
      ...tally,
      id: 'any',
      grades,
      classes,
      exercises,
      categories,
      limits,
      caps: caps.map(({ at, grades: of, each, free, atMost }, i): Cap => ({
        code: `cap${i}`,
        name: `Cap ${i}`,
        items: (categories[at] ?? categories[0]!).items.map(({ code }) => code),
        grades: of,
        over: each ? 'each' : 'together',
        free: made(free),
        atMost: made(atMost),
      })),
      requirements: [],
      questions: [],
      options: [],
    }));
}

/** Marks that a standard knows, in order of their moments, some of them within an exercise. */
export function anyMarks(standard: EffectiveStandard): fc.Arbitrary<readonly Mark[]> {
  const known = [...rulesOf(standard).items.values()].flatMap(({ item }) =>
    gradesOf(standard, item).map((grade) => ({ item: item.code, grade: grade.code })),
  );
  return fc
    .array(fc.record({ which: fc.constantFrom(...known), exercise: fc.constantFrom(undefined, 'one', 'two') }), {
      maxLength: 25,
    })
    .map((rows) =>
      rows.map(({ which, exercise }, i) => ({
        ...which,
        id: `m${i}`,
        atMs: i * 1000,
        exercise,
        by: 'instructor',
        device: 'tablet',
      })),
    );
}

/** Any log of a drive under a standard, on two devices, within what the standard knows. */
export function anyLogUnder(standard: EffectiveStandard): fc.Arbitrary<readonly DriveEvent[]> {
  const known = [...rulesOf(standard).items.values()].flatMap(({ item }) =>
    gradesOf(standard, item).map((grade) => ({ item, grade: grade.code })),
  );
  const codes = standard.exercises.map(({ code }) => code);
  const target = fc.nat(30).map((n) => `id-${n}`);
  const body: fc.Arbitrary<EventBody> = fc.oneof(
    {
      weight: 6,
      arbitrary: fc
        .record({ which: fc.constantFrom(...known), value: fc.integer({ min: 0, max: 60 }), measured: fc.boolean() })
        .map(({ which: { item, grade }, value, measured }): EventBody => ({
          type: 'mark',
          item: item.code,
          grade,
          ...(measured && item.measured && { measured: value }),
        })),
    },
    fc.record({ type: fc.constant('strike' as const), target, reason: fc.constant('Slip') }),
    fc.constantFrom<EventBody>(
      { type: 'pin' },
      { type: 'prompt' },
      { type: 'intervention' },
      { type: 'attempt', result: 'failed' },
      { type: 'section', section: 'independent' },
      { type: 'section', section: 'guided' },
      { type: 'pause', state: 'paused' },
      { type: 'pause', state: 'resumed' },
      { type: 'ended', ending: 'completed' },
      { type: 'moved-off' },
      ...exerciseStepKinds.map((step) => ({ type: 'step', step }) as const),
      ...codes.map((exercise) => ({ type: 'section', section: 'exercise', exercise }) as const),
    ),
  );
  const entry = fc.record({ body, atMs: fc.nat(2_400_000), device: fc.constantFrom('front', 'back') });
  return fc.tuple(fc.array(entry, { maxLength: 30 }), fc.boolean()).map(([entries, briefing]) => [
    ...logOf([[0, { ...start(standard.id), ...(briefing && { briefing }) }, 'id-start']]),
    ...entries.map(({ body: one, atMs, device }, i) => ({
      ...logOf([[0, one, `id-${i}`]], device)[0]!,
      seq: i,
      atMs,
    })),
  ]);
}
