/** What is lost at junctions, as drives can measure it. */
export const delayKinds = ['signals', 'stop', 'giveWay', 'mini', 'nearTurn', 'acrossTurn', 'ringEntry'] as const;
export type DelayKind = (typeof delayKinds)[number];

/** Seconds lost at junctions, by what stands there. */
export type Delays = Readonly<Partial<Record<DelayKind, number>>>;
