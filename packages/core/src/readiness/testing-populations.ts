import { pick, randomFrom } from '../safety-questions/random';
import { cellAt, gradesOf, rulesOf } from '../marking/rules';
import type { EffectiveStandard } from '../marking/standard';
import { gradeFor } from '../marking/compare/translate';
import { wholeTest, type Evidence, type FaultKind } from './evidence';
import { exactChance } from './exact';
import { drawGamma, drawPoisson } from './gamma';
import { unknownSchool } from './assumptions';
import type { Cell, Posterior } from './posterior';
import type { Lesson } from './practice';

const dayMs = 86_400_000;
const start = Date.parse('2026-01-05T10:00:00Z');
const { exp, log } = Math;

/** A learner made up, as the law of their population has them. */
export interface Person {
  /** Faults per test as they begin, on strange roads, by the average marker. */
  readonly counted: number;
  readonly outright: number;
  /** What is left of the faults at the drive `k` of `n`, and of the test where `k` is `n`. */
  readonly left: (k: number, n: number) => { readonly counted: number; readonly outright: number };
}

/** How the learners of a population come about; none of it is what the estimate takes for granted. */
export interface Law {
  readonly name: string;
  readonly draw: (random: () => number) => Person;
  /** How far days differ, as the standard deviation of a factor. */
  readonly form: number;
  /** Faults on roads known and known in part, as a share of those on strange ones. */
  readonly roads: Readonly<Record<Evidence['familiarity'], number>>;
  /** How strict the markers of the school are. */
  readonly markers: readonly number[];
  /** By what share a month they mark less, from the start of the school on. */
  readonly drift: number;
  /** Faults of the driving test beside those on strange roads with the average marker. */
  readonly realTest: number;
  /** How many learners of the school have had a driving test already. */
  readonly results: number;
  /** A drive and a test have one of these, each with a factor on the faults and its chance; no estimate knows which. */
  readonly weather: readonly { readonly factor: number; readonly chance: number }[];
}

const normal = (random: () => number) => Math.sqrt(-2 * log(1 - random())) * Math.cos(2 * Math.PI * random());
const steady: Person['left'] = () => ({ counted: 1, outright: 1 });
const same = (one: number) => ({ counted: one, outright: one });

/** What a person is made from: means and spreads of a school, and what is left of the faults. */
interface Made extends Pick<Person, 'left'> {
  readonly mean: number;
  readonly failing: number;
  readonly spread: number;
  readonly power: number;
  readonly own: number;
}

/** Levels log-normal about 8 and 0.35 faults a test, failing faults with their power and a factor of their own. */
function person(
  random: () => number,
  { mean = 8, failing = 0.35, spread = 0.55, power = 0.8, own = 0.6, left = steady }: Partial<Made> = {},
): Person {
  const z = normal(random);
  const level = exp(spread * z - spread ** 2 / 2);
  return {
    counted: mean * level,
    outright: failing * level ** power * exp(own * normal(random) - own ** 2 / 2),
    left,
  };
}

const plainRoads = { known: 0.85, partly: 0.92, new: 1 };
const law = (name: string, draw: Law['draw'], more: Partial<Law> = {}): Law => ({
  name,
  draw,
  form: 0,
  roads: plainRoads,
  markers: [1],
  drift: 0,
  realTest: 1,
  results: 0,
  weather: [{ factor: 1, chance: 1 }],
  ...more,
});

/** Faults fall by a share with every lesson, and go on falling with those after the last mock test. */
const improving = (random: () => number, most = 0.12): Person['left'] => {
  const step = 1 - most * random();
  return (k) => same(step ** k);
};
const rain = [
  { factor: 1.5, chance: 0.25 },
  { factor: 5 / 6, chance: 0.75 },
];
const harder = (results: number) =>
  law(`harder test roads, ${results} results`, (random) => person(random), { realTest: 1.2, results });
const drifting = (results: number) =>
  law(`a marker who drifts, ${results} results`, (random) => person(random), { drift: 0.05, results });

export const laws: readonly Law[] = [
  law('steady', (random) => person(random)),
  law('improving by up to 12 % a drive', (random) => person(random, { left: improving(random) })),
  law('a jump in skill', (random) => {
    const at = random();
    const jumps = random() < 0.5;
    return person(random, { left: (k, n) => same(jumps && k >= at * n ? 0.4 : 1) });
  }),
  law('days that differ', (random) => person(random), { form: 0.45 }),
  law('failing faults that follow skill', (random) => person(random, { power: 1.1, own: 0.3, spread: 0.6 })),
  law('two markers', (random) => person(random), { markers: [0.75, 1.33] }),
  law('easier known roads', (random) => person(random), { roads: { known: 0.65, partly: 0.82, new: 1 } }),
  law('two kinds of learner', (random) =>
    person(random, random() < 0.5 ? { mean: 5, spread: 0.25, failing: 0.2 } : { mean: 13, spread: 0.3, failing: 0.6 }),
  ),
  law('improving for five lessons, then a plateau', (random) => {
    const step = 0.85 + 0.1 * random();
    return person(random, { mean: 11, left: (k) => same(step ** Math.min(k, 5)) });
  }),
  law('a plateau from half of the drives on', (random) => {
    const step = 0.85 + 0.1 * random();
    return person(random, { mean: 11, left: (k, n) => same(step ** Math.min(k, n / 2)) });
  }),
  law('a weak school', (random) => person(random, { mean: 13, failing: 0.7 })),
  law('everything at once', (random) => person(random, { mean: 10, left: improving(random, 0.09) }), {
    form: 0.3,
    markers: [0.8, 1.25],
    roads: { known: 0.7, partly: 0.85, new: 1 },
  }),
  law('rain on some days', (random) => person(random), { weather: rain }),
  ...[0, 10, 40].map(harder),
  ...[0, 40].map(drifting),
];

/** A learner of a population with what was driven, and the truth about them. */
export interface MadeUp {
  readonly evidence: readonly Evidence[];
  /** Lessons booked up to the test. */
  readonly lessons: readonly Lesson[];
  readonly on: Date;
  readonly testOn: Date;
  /** True chance to pass the test on its day, 0 to 1. */
  readonly chance: number;
  /** Has had a driving test already, whose sheet is among the evidence. */
  readonly tested: boolean;
}

const month = 30.4 * dayMs;
/** Lessons booked up to the test, at most. */
const mostAhead = 5;
/** Learners of a school begin within so many days. */
const beginWithin = 180;
export const centre = 'the centre';

/** How much of what there is to mark a marker marks at a moment. */
export const driftedTo = ({ drift }: Law, at: string): number => exp((-drift * (Date.parse(at) - start)) / month);

/** Learners of a population, each with 2 to 10 drives and up to five lessons before the test; most drive with one marker. */
export function populationOf(standard: EffectiveStandard, law: Law, size: number, seed: number): readonly MadeUp[] {
  const { draw, form, roads, markers, realTest, results, weather } = law;
  const random = randomFrom(seed);
  const listed = listedBy(standard);
  const factor = () => (form > 0 ? drawGamma(1 / form ** 2, random) * form ** 2 : 1) * drawWeather(weather, random);
  return Array.from({ length: size }, (_, number): MadeUp => {
    const who = draw(random);
    const patterns = { counted: patternOf(listed.counted, random), outright: patternOf(listed.outright, random) };
    const n = 2 + Math.floor(random() * 9);
    const usual = Math.floor(random() * markers.length);
    let atMs = start + Math.floor(random() * beginWithin) * dayMs;
    const countsOf = (k: number, scale: number) => {
      const left = who.left(k, n);
      const counts: Record<string, { counted: number; outright: number }> = {};
      for (const severity of ['counted', 'outright'] as const)
        for (let f = drawPoisson(who[severity] * left[severity] * scale, random); f > 0; f--)
          (counts[drawFrom(patterns[severity], random)] ??= { counted: 0, outright: 0 })[severity]++;
      return counts;
    };
    const evidence = Array.from({ length: n }, (_, k): Evidence => {
      atMs += (4 + 5 * random()) * dayMs;
      const at = new Date(atMs).toISOString();
      const minutes = 30 + 20 * random();
      const familiarity = pick(random, ['known', 'partly', 'new', 'new'] as const);
      const marker = random() < 0.85 ? usual : Math.floor(random() * markers.length);
      const scale = (minutes / 40) * roads[familiarity] * markers[marker]! * driftedTo(law, at) * factor();
      return {
        ...wholeTest(standard, at, countsOf(k, scale)),
        marker: `marker ${marker}`,
        exposure: minutes / 40,
        minutes,
        familiarity,
      };
    });
    const on = new Date(atMs + 2 * dayMs);
    const ahead = Math.floor(random() * (mostAhead + 1));
    const lessons = Array.from({ length: ahead }, (): Lesson => {
      atMs += (4 + 5 * random()) * dayMs;
      return { start: new Date(atMs).toISOString().slice(0, 16), areas: [] };
    });
    const testOn = new Date(Math.max(on.getTime(), atMs + 2 * dayMs));
    const tested = number < results;
    if (tested) {
      const at = testOn.toISOString();
      evidence.push({
        ...wholeTest(standard, at, countsOf(n + ahead, realTest * factor())),
        kind: 'sheet',
        centre,
      });
    }
    const left = who.left(n + ahead, n);
    const chanceIn = (times: number) =>
      exactChance(
        standard,
        knownLearner(
          standard,
          who.counted * left.counted * times,
          who.outright * left.outright * times,
          form,
          patterns,
        ),
      )!;
    return {
      evidence,
      lessons,
      on,
      testOn,
      chance: weather.reduce((sum, one) => sum + one.chance * chanceIn(realTest * one.factor), 0),
      tested,
    };
  });
}

function drawWeather(weather: Law['weather'], random: () => number): number {
  let left = random();
  return weather.find(({ chance }) => (left -= chance) < 0)?.factor ?? 1;
}

/** The behaviours that can be marked with a grade of each severity, and uncapped: totals alone decide then. */
export function listedBy(standard: EffectiveStandard): Readonly<Record<FaultKind, readonly string[]>> {
  const rules = rulesOf(standard);
  const of = (severity: FaultKind) =>
    [...rules.byBehaviour].flatMap(([behaviour, [first]]) => {
      const grade = gradeFor(gradesOf(rules.standard, first!.item), severity);
      const fits = severity === 'counted' ? grade?.sign === 'counted' : grade?.sign === 'outright';
      return fits && !cellAt(rules, first!.item.code, grade!.code)?.cap ? [behaviour] : [];
    });
  return { counted: of('counted'), outright: of('outright') };
}

type Pattern = ReadonlyMap<string, number>;

/** Where the faults of a learner fall: a few behaviours hold most of them. */
function patternOf(listed: readonly string[], random: () => number): Pattern {
  const weights = listed.map(() => drawGamma(0.12, random));
  const sum = weights.reduce((all, one) => all + one, 0);
  return new Map(listed.map((code, i) => [code, weights[i]! / sum]));
}

function drawFrom(pattern: Pattern, random: () => number): string {
  let left = random();
  let last = '';
  for (const [code, share] of pattern) {
    last = code;
    left -= share;
    if (left < 0) break;
  }
  return last;
}

/** A posterior that knows a learner wholly. */
export function knownLearner(
  standard: EffectiveStandard,
  counted: number,
  outright: number,
  form: number,
  patterns: { readonly counted: Pattern; readonly outright: Pattern },
): Posterior {
  const { items, byBehaviour } = rulesOf(standard);
  const cells = (['counted', 'outright'] as const).flatMap((severity) =>
    [...items.values()].map(({ item, category }): Cell => ({
      item: item.code,
      category: category.code,
      behaviour: item.behaviour,
      severity,
      shape: (patterns[severity].get(item.behaviour) ?? 0) / byBehaviour.get(item.behaviour)!.length,
    })),
  );
  return {
    cells,
    points: [{ weight: 1, counted, outright, fall: { lessons: 0, weeks: 0 } }],
    form,
    power: 1,
    practised: { lessons: 0, weeks: 0 },
    fallsFor: 1,
    exposure: 0,
    school: unknownSchool,
  };
}
