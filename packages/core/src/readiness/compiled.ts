import { gradeFor } from '../marking/translate';
import { drawKey, gradesOf, rulesOf, useKey, type Rules } from '../marking/rules';
import type { Standard } from '../marking/standard';
import type { Severity } from './evidence';

/**
 * A standard made ready for judging very many simulated tests: numbers in place of names. It knows marks only, as
 * `verdictOf` does without circumstances, and agrees with it; a test holds them together.
 */
export interface CompiledStandard {
  /** Whether a test with these marks passes; each mark is a number made by `cellOf`, in the order of the test. */
  readonly passes: (marks: ArrayLike<number>, length: number) => boolean;
  /** The number of a mark of this item and grade; undefined where the standard has none such. */
  readonly cellOf: (item: string, grade: string) => number | undefined;
  /** The number of the mark that a fault of this severity is. */
  readonly cellFor: (item: string, severity: Severity) => number | undefined;
}

const nothing = 0;
const failsTest = 1;
const failsExercise = 2;
const upgrades = 3;

interface CompiledDraw {
  readonly use: number;
  readonly amount: number;
}

/** Compiles a standard with its options applied. */
export function compileStandard(raw: Standard): CompiledStandard {
  const rules = rulesOf(raw);
  const { standard } = rules;
  const cells = new Map<string, number>();
  const keys = [...rules.draws.keys()];
  keys.forEach((key, i) => cells.set(key, i));
  const uses = new Map<string, { index: number; allowed: number; effect: number; exercise: number; to: string }>();
  const exercises = new Map<string, number>();
  const draws: CompiledDraw[][] = keys.map((key) =>
    (rules.draws.get(key) ?? []).flatMap((draw) => {
      if (draw.scope === 'by-mark') return [];
      const known = uses.get(draw.key);
      if (known) return [{ use: known.index, amount: draw.amount }];
      const { effect, allowed } = draw.limit;
      const exercise = exercises.get(draw.scope) ?? exercises.size;
      if (effect.kind === 'fail-exercise') exercises.set(draw.scope, exercise);
      const use = {
        index: uses.size,
        allowed: allowed.value,
        effect:
          effect.kind === 'fail-test'
            ? failsTest
            : effect.kind === 'fail-exercise'
              ? failsExercise
              : effect.kind === 'upgrade'
                ? upgrades
                : nothing,
        exercise,
        to: effect.kind === 'upgrade' ? effect.grade : '',
      };
      uses.set(draw.key, use);
      return [{ use: use.index, amount: draw.amount }];
    }),
  );
  const list = [...uses.values()];
  const allowed = Float64Array.from(list, (use) => use.allowed);
  const effects = Uint8Array.from(list, ({ effect }) => effect);
  const exerciseOf = Int32Array.from(list, ({ exercise }) => exercise);
  const upgradeTo = list.map(({ to }) => to);
  const itemOf = keys.map((key) => key.slice(0, key.indexOf(' ')));
  const caps = capsOf(rules, keys);
  const failedAllowed = standard.limits
    .filter(({ measure, effect }) => measure.kind === 'failed-exercises' && effect.kind === 'fail-test')
    .map((limit) => limit.allowed.value);
  const mostFailed = failedAllowed.length > 0 ? Math.min(...failedAllowed) : Infinity;

  const used = new Float64Array(list.length);
  const capUsed = new Int32Array(caps.count);
  const exerciseFailed = new Uint8Array(exercises.size + 1);

  function passes(marks: ArrayLike<number>, length: number): boolean {
    used.fill(0);
    capUsed.fill(0);
    exerciseFailed.fill(0);
    let failed = 0;
    for (let i = 0; i < length; i++) {
      const cell = marks[i]!;
      const cap = caps.of[cell]!;
      if (cap >= 0) {
        const before = capUsed[cap]!++;
        if (before < caps.free[cap]! || before - caps.free[cap]! >= caps.atMost[cap]!) continue;
      }
      failed = draw(cell, failed);
      if (failed < 0) return false;
    }
    return failed <= mostFailed;
  }

  /** Draws on every limit of a mark. Returns how many exercises have failed by then, or -1 where the test has. */
  function draw(cell: number, failedBefore: number): number {
    let failed = failedBefore;
    for (const { use, amount } of draws[cell]!) {
      const before = used[use]!;
      const now = before + amount;
      used[use] = now;
      if (now <= allowed[use]! || before > allowed[use]!) continue;
      const effect = effects[use];
      if (effect === failsTest) return -1;
      if (effect === failsExercise && exerciseFailed[exerciseOf[use]!] === 0) {
        exerciseFailed[exerciseOf[use]!] = 1;
        failed++;
      }
      if (effect === upgrades) {
        const graver = cells.get(drawKey(itemOf[cell]!, upgradeTo[use]!));
        if (graver !== undefined) failed = draw(graver, failed);
        if (failed < 0) return -1;
      }
    }
    return failed;
  }

  return {
    passes,
    cellOf: (item, grade) => cells.get(drawKey(item, grade)),
    cellFor: (code, severity) => {
      const item = rules.items.get(code)?.item;
      const grade = item && gradeFor(gradesOf(standard, item), severity);
      return grade && cells.get(drawKey(code, grade.code));
    },
  };
}

/** The caps as numbers: which a mark falls under, and how many of its marks are free and count at most. */
function capsOf(rules: Rules, keys: readonly string[]) {
  const places = new Map<string, number>();
  const free: number[] = [];
  const atMost: number[] = [];
  const of = Int32Array.from(keys, (key) => {
    const cap = rules.caps.get(key);
    if (!cap) return -1;
    const place = cap.over === 'each' ? useKey(cap, key.slice(0, key.indexOf(' '))) : cap.code;
    const known = places.get(place);
    if (known !== undefined) return known;
    places.set(place, places.size);
    free.push(cap.free?.value ?? 0);
    atMost.push(cap.atMost?.value ?? Infinity);
    return places.size - 1;
  });
  return { of, free: Float64Array.from(free), atMost: Float64Array.from(atMost), count: places.size };
}
