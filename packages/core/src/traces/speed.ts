/** Where a car was: milliseconds, and metres along its way; neither falls. */
export type Times = readonly (readonly [at: number, metres: number])[];

/** Values in km/h, each from so many metres on. */
export type Steps = readonly (readonly [metres: number, kmh: number])[];

/** How fast a car was at a place. */
export interface SpeedAt {
  readonly at: number;
  readonly metres: number;
  /** km/h, and how far it may be off (nineteen of twenty lie within). */
  readonly kmh: number;
  readonly within: number;
}

/** A speed is the slope over so many milliseconds on each side. */
const halfWindowMs = 4000;
/** Fixes farther apart than this tell no speed, in milliseconds. */
const gapMs = 5000;

/**
 * Speeds along a way by a straight line through the places round each moment (least squares), with their error from the noise.
 * @param noise standard deviation of a place along the way, in metres
 */
export function speedsOf(times: Times, noise: number): readonly SpeedAt[] {
  const found: SpeedAt[] = [];
  let low = 0;
  let high = 0;
  times.forEach(([at, metres], i) => {
    while (times[low]![0] < at - halfWindowMs) low++;
    while (high + 1 < times.length && times[high + 1]![0] <= at + halfWindowMs) high++;
    const near = times.slice(low, high + 1);
    if (near.length < 4 || (i > 0 && at - times[i - 1]![0] > gapMs)) return;
    const [meanAt, meanMetres] = [mean(near.map(([t]) => t)), mean(near.map(([, m]) => m))];
    let [cross, square] = [0, 0];
    for (const [t, m] of near) {
      cross += (t - meanAt) * (m - meanMetres);
      square += (t - meanAt) ** 2;
    }
    if (square === 0) return;
    found.push({
      at,
      metres,
      kmh: Math.max(0, (cross / square) * 1000 * 3.6),
      within: 1.96 * (noise / Math.sqrt(square)) * 1000 * 3.6,
    });
  });
  return found;
}

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;

/** A stretch that was driven faster than its limit, or a good deal slower without a cause in sight. */
export interface SpeedStretch {
  readonly kind: 'over' | 'under';
  readonly from: number;
  readonly to: number;
  readonly fromAt: number;
  readonly seconds: number;
  /** Limit, and the fastest or slowest on it, in km/h. */
  readonly limit: number;
  readonly kmh: number;
}

/** A limit is exceeded only where even the lower end of the range is this much above it, as a share. */
const tolerance = 0.02;
/** Well under: below this share of the usual pace there even at the upper end. */
const wellUnder = 0.6;
/** Stretches as short as this, in seconds, are left out. */
const shortestOver = 3;
const shortestUnder = 12;
/** Near a junction or a stop there is a cause to be slow, in metres. */
const causeWithin = 130;

/**
 * Stretches over the limit, by more than the device may be off, and stretches well under what is usual there with no junction near.
 * @param limits from so many metres on, km/h
 * @param usual paces of such roads, likewise: a narrow lane is not driven at its limit
 * @param causes metres at which there is a reason to be slow: junctions, crossings, stops
 */
export function speedStretches(
  speeds: readonly SpeedAt[],
  limits: Steps,
  usual: Steps,
  causes: readonly number[],
): readonly SpeedStretch[] {
  const found: SpeedStretch[] = [];
  let open: { kind: SpeedStretch['kind']; first: SpeedAt; last: SpeedAt; limit: number; kmh: number } | undefined;
  const close = () => {
    if (!open) return;
    const { kind, first, last, limit, kmh } = open;
    const seconds = (last.at - first.at) / 1000;
    if (seconds >= (kind === 'over' ? shortestOver : shortestUnder))
      found.push({ kind, from: first.metres, to: last.metres, fromAt: first.at, seconds, limit, kmh });
    open = undefined;
  };
  for (const speed of speeds) {
    const limit = stepAt(limits, speed.metres);
    const pace = stepAt(usual, speed.metres);
    const kind = limit === undefined ? undefined : kindOf(speed, limit, Math.min(limit, pace ?? limit), causes);
    if (!kind || limit === undefined || (open && (open.kind !== kind || open.limit !== limit))) close();
    if (!kind || limit === undefined) continue;
    if (open) {
      open.last = speed;
      open.kmh = kind === 'over' ? Math.max(open.kmh, speed.kmh) : Math.min(open.kmh, speed.kmh);
    } else open = { kind, first: speed, last: speed, limit, kmh: speed.kmh };
  }
  close();
  return found;
}

function kindOf(
  { kmh, within, metres }: SpeedAt,
  limit: number,
  pace: number,
  causes: readonly number[],
): SpeedStretch['kind'] | undefined {
  if (kmh - within > limit * (1 + tolerance)) return 'over';
  if (kmh + within < pace * wellUnder && !causes.some((at) => Math.abs(at - metres) <= causeWithin)) return 'under';
  return undefined;
}

/** A value at a place. */
const stepAt = (steps: Steps, metres: number) => steps.findLast(([from]) => from <= metres + 0.5)?.[1];

/** Where a car stood: milliseconds and metres. */
export interface Stand {
  readonly fromAt: number;
  readonly seconds: number;
  readonly metres: number;
}

/** Standing shorter than this, in seconds, is no stand. */
const shortestStand = 4;

/** Every stand along a way. */
export function standsOf(speeds: readonly SpeedAt[]): readonly Stand[] {
  const found: Stand[] = [];
  let first: SpeedAt | undefined;
  let last: SpeedAt | undefined;
  const close = () => {
    if (first && last && last.at - first.at >= shortestStand * 1000)
      found.push({ fromAt: first.at, seconds: (last.at - first.at) / 1000, metres: first.metres });
    first = undefined;
  };
  for (const speed of speeds) {
    if (speed.kmh <= 3) {
      first ??= speed;
      last = speed;
    } else close();
  }
  close();
  return found;
}
