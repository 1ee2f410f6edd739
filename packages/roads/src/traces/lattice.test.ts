import fc from 'fast-check';
import { solve, type Step } from './lattice';

/** Lattices of up to five steps of up to three candidates, some arcs missing but never all. */
const lattices = fc.array(fc.integer({ min: 1, max: 3 }), { minLength: 2, maxLength: 5 }).chain((sizes) =>
  fc.tuple(
    ...sizes.map((size, i) =>
      fc.record({
        seen: fc.array(fc.double({ min: -6, max: 0, noNaN: true }), { minLength: size, maxLength: size }),
        arcs:
          i === 0
            ? fc.constant([])
            : fc
                .array(fc.option(fc.double({ min: -6, max: 0, noNaN: true }), { freq: 4 }), {
                  minLength: size * sizes[i - 1]!,
                  maxLength: size * sizes[i - 1]!,
                })
                .map((weights) =>
                  weights.flatMap((weight, k) => {
                    const [from, to] = [k % sizes[i - 1]!, Math.floor(k / sizes[i - 1]!)];
                    return weight === null && !(from === 0 && to === 0) ? [] : [{ from, to, weight: weight ?? -3 }];
                  }),
                ),
      }),
    ),
  ),
);

/** Every row through a lattice with its weight. */
function rowsOf(steps: readonly Step[]): readonly { readonly row: readonly number[]; readonly weight: number }[] {
  let rows = steps[0]!.seen.map((weight, k) => ({ row: [k], weight }));
  for (const { seen, arcs } of steps.slice(1))
    rows = rows.flatMap(({ row, weight }) =>
      arcs
        .filter(({ from }) => from === row.at(-1))
        .map((arc) => ({ row: [...row, arc.to], weight: weight + arc.weight + seen[arc.to]! })),
    );
  return rows;
}

it('finds what trying every row finds: the best, and how likely each candidate and arc is', () => {
  fc.assert(
    fc.property(lattices, (steps) => {
      const rows = rowsOf(steps);
      const { row, probability, arcProbability } = solve(steps);
      const best = Math.max(...rows.map(({ weight }) => weight));
      const found = rows.find((one) => one.row.join() === row.join())!;
      expect(found.weight).toBeCloseTo(best, 9);
      const whole = rows.reduce((sum, { weight }) => sum + Math.exp(weight), 0);
      const share = (fits: (row: readonly number[]) => boolean) =>
        rows.filter((one) => fits(one.row)).reduce((sum, { weight }) => sum + Math.exp(weight), 0) / whole;
      steps.forEach(({ seen, arcs }, i) => {
        seen.forEach((_, k) =>
          expect(probability(i, k)).toBeCloseTo(
            share((one) => one[i] === k),
            9,
          ),
        );
        for (const arc of arcs)
          expect(arcProbability(i, arc)).toBeCloseTo(
            share((one) => one[i - 1] === arc.from && one[i] === arc.to),
            9,
          );
      });
    }),
  );
});
