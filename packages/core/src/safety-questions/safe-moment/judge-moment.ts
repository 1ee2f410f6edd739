import {
  actS,
  aheadM,
  isPlace,
  lookS,
  meetingMargins,
  overtakerM,
  placeMargins,
  type Hazard,
  type HazardKind,
  type Scenario,
} from './road';

const stepS = 0.1;

/** What the learner did: when they looked in the mirror and when they acted, in seconds; never acted is undefined. */
export interface Moment {
  readonly looksS: readonly number[];
  readonly actAtS: number | undefined;
}

export interface MomentVerdict {
  readonly outcome: 'good' | 'not-looked' | 'unsafe' | 'never';
  /** What was in the way, the nearest first. */
  readonly hazards: readonly HazardKind[];
  /** The first moment that would have been safe, in seconds; missing where there was none. */
  readonly safeAtS?: number;
}

/** Whether a hazard needs the whole attention at this moment, from where everybody is then. */
export function needsAttention(scenario: Scenario, hazard: Hazard, atS: number): boolean {
  const gapM = aheadM(scenario, hazard, atS);
  if (isPlace(hazard)) {
    const { beforeS, afterS } = placeMargins[hazard.kind];
    return gapM / scenario.speedMps <= beforeS && (gapM + hazard.lengthM) / scenario.speedMps >= -afterS;
  }
  if (hazard.kind === 'overtaker') return gapM >= -overtakerM.behind && gapM <= overtakerM.ahead;
  const closingMps = scenario.speedMps - hazard.speedMps;
  if (closingMps <= 0) return false;
  const { beforeS, afterS } = meetingMargins[hazard.kind];
  const untilLevelS = gapM / closingMps;
  return untilLevelS <= beforeS && untilLevelS >= -afterS;
}

/** What is in the way of a control worked from this moment on, for as long as it takes. */
export function hazardsAt(scenario: Scenario, fromS: number): readonly Hazard[] {
  return scenario.hazards.filter((hazard) => {
    for (let atS = fromS; atS <= fromS + actS + 1e-9; atS += stepS)
      if (needsAttention(scenario, hazard, atS)) return true;
    return false;
  });
}

/** Judges the moment that a learner chose, with reasons. */
export function judgeMoment(scenario: Scenario, { looksS, actAtS }: Moment): MomentVerdict {
  const safeAtS = firstSafeS(scenario);
  const later = safeAtS === undefined ? {} : { safeAtS };
  if (actAtS === undefined) return { outcome: 'never', hazards: [], ...later };
  const inTheWay = [...hazardsAt(scenario, actAtS)].sort(
    (a, b) => Math.abs(aheadM(scenario, a, actAtS)) - Math.abs(aheadM(scenario, b, actAtS)),
  );
  const hazards = [...new Set(inTheWay.map(({ kind }) => kind))];
  if (hazards.length > 0) return { outcome: 'unsafe', hazards, ...later };
  const looked = looksS.some((atS) => atS <= actAtS && actAtS - atS <= lookS);
  return { outcome: looked ? 'good' : 'not-looked', hazards, ...later };
}

function firstSafeS(scenario: Scenario): number | undefined {
  for (let atS = 0; atS + actS <= scenario.durationS; atS += stepS)
    if (hazardsAt(scenario, atS).length === 0) return Math.round(atS * 10) / 10;
  return undefined;
}
