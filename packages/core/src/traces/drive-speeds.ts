import type { DrivenPiece, TraceReading } from './reading';
import { speedsOf, speedStretches, standsOf, type SpeedAt, type SpeedStretch, type Stand, type Steps } from './speed';

/** How fast a whole drive was, its pieces one after the other: all metres are from the start of the first. */
export interface DriveSpeeds {
  readonly speeds: readonly SpeedAt[];
  readonly limits: Steps;
  readonly stretches: readonly SpeedStretch[];
  readonly stands: readonly Stand[];
  /** Where each piece begins, and how long all of them are. */
  readonly begins: readonly number[];
  readonly metres: number;
}

/** Shorter stands, in seconds, are part of giving way. */
const leastStand = 8;
/** Where the road is less sure than this, or within so many metres of there, nothing is said of the speed. */
const leastSure = 0.95;
const near = 60;

/** Speeds, limits, stretches and stands of a drive, where its roads are sure. */
export function speedsIn({ pieces, noise }: Pick<TraceReading, 'pieces' | 'noise'>): DriveSpeeds {
  let metres = 0;
  const all = pieces.map((piece) => {
    const begins = metres;
    metres += piece.metres;
    const isSure = sureness(piece);
    const along = speedsOf(piece.times, noise).filter((one) => isSure(one.metres));
    const stands = standsOf(along).filter(({ seconds }) => seconds >= leastStand);
    const junctions = piece.passes.filter(({ place }) => place.sort !== 'road').map(({ to }) => to);
    const causes = [...junctions, ...stands.map((one) => one.metres), 0, piece.metres];
    return {
      begins,
      speeds: along.map((one) => ({ ...one, metres: one.metres + begins })),
      limits: piece.limits.map(([from, kmh]) => [from + begins, kmh] as const),
      stretches: speedStretches(along, piece.limits, piece.usual, causes).map((one) => ({
        ...one,
        from: one.from + begins,
        to: one.to + begins,
      })),
      stands: stands.map((one) => ({ ...one, metres: one.metres + begins })),
    };
  });
  return {
    speeds: all.flatMap(({ speeds }) => speeds),
    limits: all.flatMap(({ limits }) => limits),
    stretches: all.flatMap(({ stretches }) => stretches),
    stands: all.flatMap(({ stands }) => stands),
    begins: all.map(({ begins }) => begins),
    metres,
  };
}

/** Tells whether the road at a place of a piece is sure, and all about it. */
function sureness({ sure, metres: whole }: DrivenPiece): (metres: number) => boolean {
  const unsure = sure.flatMap(([from, chance], i) =>
    chance < leastSure ? [[from - near, (sure[i + 1]?.[0] ?? whole) + near] as const] : [],
  );
  return (metres) => !unsure.some(([from, to]) => metres >= from && metres <= to);
}
