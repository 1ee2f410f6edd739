import { gradeFor } from '../marking/compare/translate';
import { allCells, cellAt, gradesOf, isGraver, rulesOf, type CapGroup, type Cell, type Slot } from '../marking/rules';
import type { EffectiveStandard } from '../marking/standard';
import type { FaultKind } from './evidence';

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
  readonly cellFor: (item: string, severity: FaultKind) => number | undefined;
}

/** A whole limit, with what sums of its parts are out by. */
const one = 1 + 1e-9;

const nothing = 0;
const failsTest = 1;
const failsExercise = 2;
const effectNumbers: Readonly<Record<string, number>> = { 'fail-test': failsTest, 'fail-exercise': failsExercise };

interface CompiledDraw {
  readonly use: number;
  readonly amount: number;
  /** What a cap has seen of this limit, as a place among the capped counts; -1 without a cap. */
  readonly cap: number;
  readonly free: number;
  readonly atMost: number;
  /** The number of the graver mark that a mark beyond the limit is as well; -1 where the limit upgrades nothing. */
  readonly graver: number;
}

/** What the marks of a test take together of whatever a table says each of them takes. */
function sumOf(table: Float64Array, marks: ArrayLike<number>, length: number): number {
  let sum = 0;
  for (let i = 0; i < length; i++) sum += table[marks[i]!]!;
  return sum;
}

/** Compiles a standard with its options applied. */
export function compileStandard(standard: EffectiveStandard): CompiledStandard {
  const rules = rulesOf(standard);
  const all = allCells(rules);
  const numbers = new Map<Cell, number>(all.map((cell, i) => [cell, i]));
  const numberOf = (item: string, grade: string): number | undefined => {
    const cell = cellAt(rules, item, grade);
    return cell && numbers.get(cell);
  };
  const failedAllowed = standard.limits
    .filter(({ measure, effect }) => measure.kind === 'failed-exercises' && effect.kind === 'fail-test')
    .map((limit) => limit.allowed.value);
  const mostFailed = failedAllowed.length > 0 ? Math.min(...failedAllowed) : Infinity;
  const uses = new Map<Slot, { index: number; allowed: number; effect: number; exercise: number }>();
  const exercises = new Map<string | undefined, number>();
  const capPlaces: CapPlaces = { of: new Map(), size: 0 };
  const draws: CompiledDraw[][] = all.map(({ item, grade, cap, draws: ofCell }) =>
    ofCell.flatMap(({ slot, limit, amount }) => {
      // What only asks a person decides no simulated test; what an exercise decides, none without exercises.
      if (limit.effect.kind === 'ask-upgrade' || !slot) return [];
      const { effect, allowed } = limit;
      const known = uses.get(slot);
      const exercise = known?.exercise ?? exercises.get(slot.scope) ?? exercises.size;
      if (effect.kind === 'fail-exercise') exercises.set(slot.scope, exercise);
      const upgrade = effect.kind === 'upgrade' && isGraver(rules, effect.grade, grade) ? effect.grade : undefined;
      // Where no exercise may be failed, what fails one fails the test.
      const effectNumber =
        effect.kind === 'fail-exercise' && mostFailed < 1 ? failsTest : (effectNumbers[effect.kind] ?? nothing);
      const use = known ?? { index: uses.size, allowed: allowed.value, effect: effectNumber, exercise };
      uses.set(slot, use);
      return [
        {
          use: use.index,
          amount,
          ...capAt(cap, slot, capPlaces),
          graver: upgrade === undefined ? -1 : (numberOf(item, upgrade) ?? -1),
        },
      ];
    }),
  );
  const list = [...uses.values()];
  const allowed = Float64Array.from(list, (use) => use.allowed);
  const effects = Uint8Array.from(list, ({ effect }) => effect);
  const exerciseOf = Int32Array.from(list, ({ exercise }) => exercise);

  // All draws in a row, those of a mark beside each other: the loop over them runs some million times a second.
  const row = draws.flat();
  const from = new Int32Array(draws.length + 1);
  draws.forEach((of, i) => (from[i + 1] = from[i]! + of.length));
  const tallyAt = Int32Array.from(row, ({ use }) => use);
  const amounts = Float64Array.from(row, ({ amount }) => amount);
  const caps = Int32Array.from(row, ({ cap }) => cap);
  const frees = Float64Array.from(row, ({ free }) => free);
  const mosts = Float64Array.from(row, ({ free, atMost }) => free + atMost);
  const gravers = Int32Array.from(row, ({ graver }) => graver);

  const used = new Float64Array(list.length);
  const capUsed = new Int32Array(capPlaces.size);
  const exerciseFailed = new Uint8Array(exercises.size + 1);
  // What a test has touched: most tests touch little, and only that is set back before the next.
  const touchedUses = new Int32Array(list.length);
  const touchedCaps = new Int32Array(capPlaces.size);
  let usesTouched = 0;
  let capsTouched = 0;

  const weights = weightsOf(row, from, allowed);
  const widest = sharesOfWidest(row, from, allowed, effects);
  // Worth asking only where one limit takes a good part of the marks.
  const takesWidest = widest.reduce((n, share) => n + (share > 0 ? 1 : 0), 0) > widest.length / 4;
  // A mark that fails by itself, with nothing that might leave it out, fails every test that it is in.
  for (let mark = 0; mark < draws.length; mark++)
    if (draws[mark]!.every(({ cap }) => cap < 0) && !judged(Int32Array.of(mark), 1)) weights[mark] = Infinity;

  function passes(marks: ArrayLike<number>, length: number): boolean {
    const taken = sumOf(weights, marks, length);
    if (taken <= one) return true;
    if (taken === Infinity) return false;
    if (takesWidest && sumOf(widest, marks, length) > one) return false;
    return judged(marks, length);
  }

  function judged(marks: ArrayLike<number>, length: number): boolean {
    // Named here, the tables are looked up once a test instead of once a mark.
    const [sums, tallies, ends, parts, most, capped] = [used, tallyAt, from, amounts, allowed, caps];
    while (usesTouched > 0) sums[touchedUses[--usesTouched]!] = 0;
    while (capsTouched > 0) capUsed[touchedCaps[--capsTouched]!] = 0;
    let failed = 0;
    for (let i = 0; i < length && failed >= 0; i++) {
      const mark = marks[i]!;
      const end = ends[mark + 1]!;
      for (let d = ends[mark]!; d < end && failed >= 0; d++) {
        if (capped[d]! >= 0 && leftOut(d)) continue;
        const use = tallies[d]!;
        const before = sums[use]!;
        const now = before + parts[d]!;
        if (before === 0) touchedUses[usesTouched++] = use;
        sums[use] = now;
        if (now > most[use]!) failed = beyond(d, before, failed);
      }
    }
    if (failed !== 0) exerciseFailed.fill(0);
    return failed >= 0 && failed <= mostFailed;
  }

  /** Whether the cap of a draw leaves this mark out; it counts the mark. */
  function leftOut(d: number): boolean {
    const cap = caps[d]!;
    const seen = capUsed[cap]!;
    if (seen === 0) touchedCaps[capsTouched++] = cap;
    capUsed[cap] = seen + 1;
    return seen < frees[d]! || seen >= mosts[d]!;
  }

  /** What a draw beyond its limit leads to. Returns how many exercises have failed by then, or -1 where the test has. */
  function beyond(d: number, before: number, failedBefore: number): number {
    let failed = failedBefore;
    const graver = gravers[d]!;
    // A mark that is a graver one as well draws on the limits of that, whatever its caps.
    for (let g = graver < 0 ? 0 : from[graver]!, end = graver < 0 ? 0 : from[graver + 1]!; g < end; g++) {
      const use = tallyAt[g]!;
      const sum = used[use]!;
      if (sum === 0) touchedUses[usesTouched++] = use;
      used[use] = sum + amounts[g]!;
      if (used[use] > allowed[use]!) failed = beyond(g, sum, failed);
      if (failed < 0) return -1;
    }
    const use = tallyAt[d]!;
    if (before > allowed[use]!) return failed;
    if (effects[use] === failsTest) return -1;
    if (effects[use] === failsExercise && exerciseFailed[exerciseOf[use]!] === 0) {
      exerciseFailed[exerciseOf[use]!] = 1;
      failed++;
    }
    return failed;
  }

  return {
    passes,
    cellOf: numberOf,
    cellFor: (code, severity) => {
      const item = rules.items.get(code)?.item;
      const grade = item && gradeFor(gradesOf(standard, item), severity);
      return grade && numberOf(code, grade.code);
    },
  };
}

/**
 * How much of the narrowest limit that a mark draws on the mark takes, by its number. Marks that take one at most
 * together exceed no limit, whatever they are: most tests are judged by that sum alone.
 */
function weightsOf(row: readonly CompiledDraw[], from: Int32Array, allowed: Float64Array): Float64Array {
  const weights = new Float64Array(from.length - 1);
  for (let mark = 0; mark < weights.length; mark++) {
    const ofMark = row.slice(from[mark], from[mark + 1]);
    for (const { use } of ofMark) {
      const amount = ofMark.reduce((sum, draw) => sum + (draw.use === use ? draw.amount : 0), 0);
      // A limit of none is exceeded by the first mark: such a test is judged whole.
      weights[mark] = Math.max(weights[mark]!, amount / Math.max(allowed[use]!, 1e-6));
    }
  }
  return weights;
}

/**
 * How much a mark takes of the limit that most marks draw on and that fails the test, by its number: marks that take
 * more than the whole of it together fail, whatever else they do. What a cap might leave out is not in it.
 */
function sharesOfWidest(
  row: readonly CompiledDraw[],
  from: Int32Array,
  allowed: Float64Array,
  effects: Uint8Array,
): Float64Array {
  const drawn = new Int32Array(allowed.length);
  for (const { use, cap } of row) if (cap < 0 && effects[use] === failsTest && allowed[use]! > 0) drawn[use]!++;
  const widest = drawn.indexOf(Math.max(0, ...drawn));
  const shares = new Float64Array(from.length - 1);
  if (!drawn[widest]) return shares;
  for (let mark = 0; mark < shares.length; mark++)
    for (const { use, cap, amount } of row.slice(from[mark], from[mark + 1]))
      if (use === widest && cap < 0) shares[mark]! += amount / allowed[widest]!;
  return shares;
}

/** Where the counts of each cap stand, by what it holds together and the limit it counts for. */
interface CapPlaces {
  readonly of: Map<CapGroup, Map<Slot, number>>;
  size: number;
}

/** The cap that a mark falls under within one limit, as numbers. */
function capAt(group: CapGroup | undefined, slot: Slot, places: CapPlaces) {
  if (!group) return { cap: -1, free: 0, atMost: Infinity };
  const ofGroup = places.of.get(group) ?? new Map<Slot, number>();
  places.of.set(group, ofGroup);
  const place = ofGroup.get(slot) ?? places.size++;
  ofGroup.set(slot, place);
  const { free, atMost } = group.cap;
  return { cap: place, free: free?.value ?? 0, atMost: atMost?.value ?? Infinity };
}
