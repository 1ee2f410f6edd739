import type { Mark } from '@jasperwren/core/drive/drive';
import { rulesOf } from '@jasperwren/core/marking/rules';
import type { EffectiveStandard, SensorSign } from '@jasperwren/core/marking/standard';
import { readSample, type SentSample } from '@jasperwren/core/yard/sample';

/** Faults that a stopping distance explains. */
const explained: readonly SensorSign[] = ['speed', 'tone-speed', 'late-braking', 'clutch-first'];

/** Seconds by which a clutch that goes down first holds the brake up. Common practice. */
const clutchFirstS = 0.5;

/** Where a fault's speed is explained, with that speed in km/h. */
export interface Explained {
  readonly kmh: number;
  readonly address: string;
}

/**
 * The page of stopping distances with the speed of a fault that it explains: the highest of what the sensors said around
 * it.
 * @returns undefined for any other fault, and where no speed was read
 */
export function stoppingAddress(
  standard: EffectiveStandard,
  { item, detected }: Pick<Mark, 'item' | 'detected'>,
  samples: readonly SentSample[],
): Explained | undefined {
  const signs = rulesOf(standard).items.get(item)?.item.sensors;
  if (!detected || !signs?.some((sign) => explained.includes(sign))) return undefined;
  const speeds = samples.flatMap((sent) => {
    const sample = readSample(sent);
    return sample?.speed !== undefined && sample.at >= detected.fromMs && sample.at <= detected.toMs
      ? [Math.abs(sample.speed)]
      : [];
  });
  const kmh = Math.round(Math.max(0, ...speeds));
  if (kmh < 5) return undefined;
  const clutch = signs.includes('clutch-first') ? `&clutch=${clutchFirstS}` : '';
  return { kmh, address: `/yard/stopping?unit=kmh&speed=${kmh}${clutch}` };
}
