/** A moment that is known in a film and on the clock of the drive. */
export interface FilmAnchor {
  /** Milliseconds of the drive's clock. */
  readonly driveMs: number;
  /** Seconds from the start of the film. */
  readonly filmS: number;
}

/** How a film lies beside a drive: seconds of film at the drive's start, and seconds of film a second of the drive. */
export interface FilmFit {
  readonly startS: number;
  readonly rate: number;
}

/** Clocks of cameras are off by far less than this; what is off by more was set at another moment. */
const mostDrift = 0.02;
/** Two moments nearer than this, in seconds, say nothing of how the clocks drift. */
const leastApartS = 60;

/**
 * Lays a film beside a drive by moments that are known in both: one says where it begins, two that lie far enough apart how
 * the clocks drift as well. Undefined without any, and where the moments contradict each other.
 */
export function fitFilm(anchors: readonly FilmAnchor[]): FilmFit | undefined {
  const [first, ...others] = [...anchors].sort((a, b) => a.driveMs - b.driveMs);
  if (!first) return undefined;
  const last = others.at(-1) ?? first;
  const apartS = (last.driveMs - first.driveMs) / 1000;
  const rate = apartS >= leastApartS ? (last.filmS - first.filmS) / apartS : 1;
  const startS = first.filmS - (rate * first.driveMs) / 1000;
  const isOff = ({ driveMs, filmS }: FilmAnchor) =>
    Math.abs(startS + (rate * driveMs) / 1000 - filmS) > Math.max(1, mostDrift * apartS);
  return Math.abs(rate - 1) > mostDrift || anchors.some(isOff) ? undefined : { startS, rate };
}

/** Where in the film a moment of the drive is seen, in seconds from its start; below 0 before it begins. */
export const filmSecondsAt = ({ startS, rate }: FilmFit, driveMs: number): number => startS + (rate * driveMs) / 1000;
