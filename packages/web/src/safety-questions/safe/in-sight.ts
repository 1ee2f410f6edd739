import { t } from '@jasperwren/words/questions';
import { aheadM, isPlace, type Hazard, type Scenario } from '@jasperwren/core/safety-questions/safe-moment/road';

/** As far as the picture shows the road ahead, and the mirror behind, in metres. */
const seenM = 147;
const seenBehindM = 90;

/** What is in sight, in words, for those who do not see the picture. */
export function inSight(scenario: Scenario, atS: number, looking: boolean): string {
  const words: Readonly<Record<Hazard['kind'], string>> = {
    'limit-change': t('aNewLimit'),
    bend: t('aBend'),
    junction: t('aSideRoad'),
    crossing: t('aCrossing'),
    'large-vehicle': t('aLargeVehicleTowardsYou'),
    cyclist: t('aCyclist'),
    overtaker: t('aFasterCar'),
  };
  const seen = scenario.hazards.flatMap((hazard) => {
    const gapM = aheadM(scenario, hazard, atS);
    const length = isPlace(hazard) ? hazard.lengthM : 0;
    if (gapM > seenM || gapM < -seenBehindM) return [];
    if (gapM >= 0) return [t('wordsInGapMM', { words: words[hazard.kind], gapM: Math.round(gapM / 10) * 10 })];
    if (gapM + length >= 0) return [t('wordsNow', { words: words[hazard.kind] })];
    return !isPlace(hazard) && (scenario.level === 1 || looking)
      ? [t('wordsValueMBehind', { words: words[hazard.kind], value: Math.round(-gapM / 10) * 10 })]
      : [];
  });
  return seen.length > 0 ? t('aheadSeen', { seen: seen.join('; ') }) : t('clearAhead');
}
