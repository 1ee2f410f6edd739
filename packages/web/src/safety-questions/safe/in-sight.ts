import { aheadM, isPlace, type Hazard, type Scenario } from '@jasperwren/core/safety-questions/safe-moment/road';

/** As far as the picture shows the road ahead, and the mirror behind, in metres. */
const seenM = 147;
const seenBehindM = 90;

/** What is in sight, in words, for those who do not see the picture. */
export function inSight(scenario: Scenario, atS: number, looking: boolean): string {
  const words: Readonly<Record<Hazard['kind'], string>> = {
    'limit-change': 'a new limit',
    bend: 'a bend',
    junction: 'a side road',
    crossing: 'a crossing',
    'large-vehicle': 'a large vehicle towards you',
    cyclist: 'a cyclist',
    overtaker: 'a faster car',
  };
  const seen = scenario.hazards.flatMap((hazard) => {
    const gapM = aheadM(scenario, hazard, atS);
    const length = isPlace(hazard) ? hazard.lengthM : 0;
    if (gapM > seenM || gapM < -seenBehindM) return [];
    if (gapM >= 0) return [`${words[hazard.kind]} in ${Math.round(gapM / 10) * 10} m`];
    if (gapM + length >= 0) return [`${words[hazard.kind]}, now`];
    return !isPlace(hazard) && (scenario.level === 1 || looking)
      ? [`${words[hazard.kind]} ${Math.round(-gapM / 10) * 10} m behind`]
      : [];
  });
  return seen.length > 0 ? `In sight: ${seen.join('; ')}.` : 'Nothing in sight.';
}
