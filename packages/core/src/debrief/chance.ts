/**
 * The chance of `k` or more successes in `n` independent tries.
 * @param p chance of one success, 0 to 1
 * @returns 0 to 1; the upper tail of the binomial distribution
 */
export function chanceOfAtLeast(k: number, n: number, p: number): number {
  if (k <= 0) return 1;
  if (k > n || p <= 0) return 0;
  if (p >= 1) return 1;
  // From the term of k = 0 upwards; n is the marks of a drive, so nothing overflows.
  let term = (1 - p) ** n;
  let below = term;
  for (let i = 1; i < k; i++) {
    term *= ((n - i + 1) / i) * (p / (1 - p));
    below += term;
  }
  return Math.min(1, Math.max(0, 1 - below));
}
