import { pick, randomFrom } from '../random';
import {
  meetingMargins,
  overtakerM,
  placeMargins,
  type Hazard,
  type HazardKind,
  type PlaceHazard,
  type Scenario,
} from './road';

/** A stretch of time, in seconds. */
export interface Window {
  readonly fromS: number;
  readonly toS: number;
}

/** A scenario together with the stretches in which nothing is in the way. */
export interface Generated {
  readonly scenario: Scenario;
  readonly safe: readonly Window[];
}

const durationS = 32;
const speedsMps = [9, 13.4, 17.9, 22.4];
const byLevel: Readonly<Record<Scenario['level'], readonly HazardKind[]>> = {
  1: ['junction', 'crossing', 'bend', 'limit-change'],
  2: ['junction', 'crossing', 'bend', 'limit-change', 'overtaker', 'cyclist'],
  3: ['junction', 'crossing', 'bend', 'limit-change', 'overtaker', 'cyclist', 'large-vehicle'],
};
/** How often the stretch begins in the middle of something: acting at once is then wrong. */
const busyStart = 0.85;

/**
 * A stretch of road made from a seed: first the moments that shall be bad, then what makes them so.
 * @param seed any whole number; the same gives the same stretch
 */
export function generateScenario(seed: number, level: Scenario['level']): Generated {
  const random = randomFrom(seed * 3 + level);
  const between = (from: number, to: number) => from + random() * (to - from);
  const speedMps = pick(random, speedsMps);
  const hazards: Hazard[] = [];
  const busy: Window[] = [];
  let atS = random() < busyStart ? -between(0.5, 2) : between(3, 5);
  while (atS < durationS - 6) {
    const block = hazardFor(pick(random, byLevel[level]), atS, speedMps, between);
    hazards.push(block.hazard);
    busy.push(block.busy);
    if (level === 3 && random() < 0.35) {
      const second = hazardFor(pick(random, byLevel[3]), atS + between(0.5, 2), speedMps, between);
      hazards.push(second.hazard);
      busy.push(second.busy);
    }
    atS = Math.max(...busy.map(({ toS }) => toS)) + between(3.5, 7);
  }
  return {
    scenario: { id: `road-${level}-${seed}`, title: 'A stretch of road', level, speedMps, durationS, hazards },
    safe: complement(busy),
  };
}

/** A hazard that is in the way from this moment on, and until when: worked out backwards from the margins. */
function hazardFor(
  kind: HazardKind,
  fromS: number,
  speedMps: number,
  between: (from: number, to: number) => number,
): { readonly hazard: Hazard; readonly busy: Window } {
  switch (kind) {
    case 'overtaker': {
      const takesS = between(4, 8);
      const gainMps = (overtakerM.behind + overtakerM.ahead) / takesS;
      return {
        hazard: { kind, atM: -overtakerM.behind - gainMps * fromS, speedMps: speedMps + gainMps },
        busy: { fromS, toS: fromS + takesS },
      };
    }
    case 'cyclist':
    case 'large-vehicle': {
      const { beforeS, afterS } = meetingMargins[kind];
      const theirMps = kind === 'cyclist' ? between(4, 6) : -between(8, 14);
      const levelS = fromS + beforeS;
      return {
        hazard: { kind, atM: (speedMps - theirMps) * levelS, speedMps: theirMps },
        busy: { fromS, toS: levelS + afterS },
      };
    }
    default:
      return placeFor(kind, fromS, speedMps, between);
  }
}

function placeFor(
  kind: PlaceHazard['kind'],
  fromS: number,
  speedMps: number,
  between: (from: number, to: number) => number,
): { readonly hazard: PlaceHazard; readonly busy: Window } {
  const { beforeS, afterS } = placeMargins[kind];
  const lengthM = kind === 'bend' ? between(40, 90) : kind === 'limit-change' ? 0 : between(4, 12);
  const reachedS = fromS + beforeS;
  return {
    hazard: { kind, atM: speedMps * reachedS, lengthM },
    busy: { fromS, toS: reachedS + lengthM / speedMps + afterS },
  };
}

function complement(busy: readonly Window[]): readonly Window[] {
  const safe: Window[] = [];
  let free = 0;
  for (const { fromS, toS } of [...busy].sort((a, b) => a.fromS - b.fromS)) {
    if (fromS > free) safe.push({ fromS: free, toS: fromS });
    free = Math.max(free, toS);
  }
  if (free < durationS) safe.push({ fromS: free, toS: durationS });
  return safe;
}
