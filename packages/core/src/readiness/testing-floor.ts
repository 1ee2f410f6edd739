import { randomFrom } from '../safety-questions/random';
import type { EffectiveStandard } from '../marking/standard';
import { totalOf } from './evidence';
import { exactChance } from './exact';
import { driftedTo, knownLearner, listedBy, type Law, type MadeUp } from './testing-populations';

const { exp, log, max, min } = Math;
const people = 6000;

/**
 * The best anybody can do: the forecast of one who knows the law of the population, though not the learner. People are
 * drawn from the law and weighed by how likely the totals of the drives are under each.
 */
export function floorForecaster(standard: EffectiveStandard, law: Law, seed: number): (learner: MadeUp) => number {
  const random = randomFrom(seed);
  const drawn = Array.from({ length: people }, () => law.draw(random));
  const chanceAt = chanceTable(standard, law.form);
  const shape = law.form > 0 ? 1 / law.form ** 2 : Infinity;
  return ({ evidence, lessons }) => {
    const n = evidence.length;
    const drives = evidence.map((one) => ({
      counted: totalOf(one, 'counted'),
      outright: totalOf(one, 'outright'),
      scale:
        one.exposure *
        law.roads[one.familiarity] *
        law.markers[Number(one.marker!.split(' ')[1])]! *
        driftedTo(law, one.at),
    }));
    let top = -Infinity;
    const logs = drawn.map((who) => {
      let sum = 0;
      drives.forEach(({ counted, outright, scale }, k) => {
        const left = who.left(k, n);
        let likely = 0;
        for (const { factor, chance } of law.weather) {
          const a = who.counted * left.counted * scale * factor;
          const b = who.outright * left.outright * scale * factor;
          const both = shape === Infinity ? a + b : (shape + counted + outright) * log(1 + (a + b) / shape);
          likely += chance * exp(counted * log(a) + outright * log(b) - both);
        }
        sum += log(max(likely, 1e-300));
      });
      top = max(top, sum);
      return sum;
    });
    let [whole, passed] = [0, 0];
    drawn.forEach((who, i) => {
      const weight = exp(logs[i]! - top);
      if (weight < 1e-9) return;
      const left = who.left(n + lessons.length, n);
      whole += weight;
      for (const { factor, chance } of law.weather) {
        const times = law.realTest * factor;
        passed += weight * chance * chanceAt(who.counted * left.counted * times, who.outright * left.outright * times);
      }
    });
    return passed / whole;
  };
}

/** The chance to pass by faults expected on a test, looked up between points on a logarithmic grid. */
function chanceTable(standard: EffectiveStandard, form: number): (counted: number, outright: number) => number {
  const listed = listedBy(standard);
  const even = (codes: readonly string[]) => new Map(codes.map((code) => [code, 1 / codes.length]));
  const patterns = { counted: even(listed.counted), outright: even(listed.outright) };
  const [from, step, size] = [log(0.002), 0.15, 75];
  const table = new Map<number, number>();
  const at = (i: number, j: number): number => {
    const known = table.get(i * size + j);
    if (known !== undefined) return known;
    const made = exactChance(
      standard,
      knownLearner(standard, exp(from + i * step), exp(from + j * step), form, patterns),
    )!;
    table.set(i * size + j, made);
    return made;
  };
  const place = (value: number) => max(0, min(size - 2, (log(max(value, 1e-9)) - from) / step));
  return (counted, outright) => {
    const [x, y] = [place(counted), place(outright)];
    const [i, j] = [Math.floor(x), Math.floor(y)];
    const [u, v] = [x - i, y - j];
    return (1 - u) * ((1 - v) * at(i, j) + v * at(i, j + 1)) + u * ((1 - v) * at(i + 1, j) + v * at(i + 1, j + 1));
  };
}
