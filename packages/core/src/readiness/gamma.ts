// Looked up once: these run millions of times.
const { exp, log, min, sqrt } = Math;

/** A standard normal number (Marsaglia's polar method). */
function normal(random: () => number): number {
  for (;;) {
    const u = 2 * random() - 1;
    const v = 2 * random() - 1;
    const s = u * u + v * v;
    if (s > 0 && s < 1) return u * sqrt((-2 * log(s)) / s);
  }
}

/**
 * A number of the gamma distribution with scale 1 (Marsaglia and Tsang 2000, "A simple method for generating gamma
 * variables"), with their step for shapes below 1.
 * @param shape above 0
 */
export function drawGamma(shape: number, random: () => number): number {
  if (shape < 1) return drawGamma(shape + 1, random) * (1 - random()) ** (1 / shape);
  const d = shape - 1 / 3;
  const c = 1 / sqrt(9 * d);
  for (;;) {
    const x = normal(random);
    const v = (1 + c * x) ** 3;
    if (v <= 0) continue;
    const u = 1 - random();
    if (log(u) < 0.5 * x * x + d - d * v + d * log(v)) return d * v;
  }
}

/** A number of the Poisson distribution, for means up to a few hundred (Knuth's product, in pieces that do not underflow). */
export function drawPoisson(mean: number, random: () => number): number {
  let count = 0;
  let left = mean;
  for (; left > 0; left -= 30) {
    const floor = exp(-min(30, left));
    for (let product = random(); product > floor; product *= random()) count++;
  }
  return count;
}
