/** A count that helps the instructor to time what the eye cannot: nothing of it goes into the log. */
export interface Counter {
  readonly kind: CounterKind;
  readonly fromMs: number;
}

export const counterKinds = ['stop', 'signal', 'mirrors'] as const;
export type CounterKind = (typeof counterKinds)[number];

/** Signal before pulling out: one authority wants 5 s (common practice). */
const signalS = 5;
/** A glance in the mirrors every 8 to 10 s on a straight road (common practice). */
const mirrorsS = 10;

/**
 * How long each is to last, in seconds.
 * @param toFive whether the standard counts to 5 at a stop line, not to 3
 */
export function counterTargetS(kind: CounterKind, toFive: boolean): number {
  switch (kind) {
    case 'stop':
      return toFive ? 5 : 3;
    case 'signal':
      return signalS;
    case 'mirrors':
      return mirrorsS;
  }
}

/** What a counter shows. */
export interface Reading {
  /** Seconds so far; of the mirrors, since the last glance was due. */
  readonly seconds: number;
  readonly reached: boolean;
}

/** What a counter shows at a moment; `nowMs` is on the clock of `fromMs`, in milliseconds. */
export function readCounter({ kind, fromMs }: Counter, nowMs: number, targetS: number): Reading {
  const elapsedS = Math.max(0, nowMs - fromMs) / 1000;
  // The mirrors start anew: a glance is due every time.
  const seconds = kind === 'mirrors' ? elapsedS % targetS : elapsedS;
  return { seconds, reached: kind === 'mirrors' ? elapsedS >= targetS && seconds < 2 : elapsedS >= targetS };
}
