const { floor, imul } = Math;

/** A source of numbers from 0 up to 1 that is the same for the same seed (mulberry32, public domain). */
export function randomFrom(seed: number): () => number {
  let state = seed >>> 0;
  return () => {
    state = (state + 0x6d2b79f5) >>> 0;
    let t = state;
    t = imul(t ^ (t >>> 15), t | 1);
    t ^= t + imul(t ^ (t >>> 7), t | 61);
    return ((t ^ (t >>> 14)) >>> 0) / 4294967296;
  };
}

/** One of these. */
export function pick<T>(random: () => number, list: readonly T[]): T {
  return list[floor(random() * list.length)]!;
}

/** These in another order. */
export function shuffled<T>(random: () => number, list: readonly T[]): readonly T[] {
  const out = [...list];
  for (let i = out.length - 1; i > 0; i--) {
    const j = floor(random() * (i + 1));
    [out[i], out[j]] = [out[j]!, out[i]!];
  }
  return out;
}
