import { t } from '@jasperwren/words/refusals';
import { RateLimiterMemory, RateLimiterRes } from 'rate-limiter-flexible';
import { tooManyTries } from '../refusal';

const windowS = 15 * 60;

/** Tries that may fail within a quarter of an hour, by account, by address, or by whatever the key names. */
export interface Tries {
  /**
   * Counts a try before its work is done, so that tries sent at once are counted too.
   * @throws tooManyTries where there are none left
   */
  readonly take: (setHeader: (name: string, value: string) => void, key: string) => Promise<void>;
  /** Gives a try back that did not fail. */
  readonly giveBack: (key: string) => Promise<void>;
  /** Forgets the tries of a key: it has shown who it is. */
  readonly forget: (key: string) => Promise<void>;
}

/** @param most how many may fail */
export function triesOf(name: string, most: number): Tries {
  const limiter = new RateLimiterMemory({ points: most, duration: windowS, keyPrefix: name });
  return {
    async take(setHeader, key) {
      try {
        await limiter.consume(key);
      } catch (refused) {
        if (!(refused instanceof RateLimiterRes)) throw refused;
        const waitMin = Math.max(1, Math.ceil(refused.msBeforeNext / 60_000));
        setHeader('retry-after', String(waitMin * 60));
        throw tooManyTries(t('tooManyAttempts', { waitMin }), { code: 'too-many-tries' });
      }
    },
    giveBack: async (key) => void (await limiter.reward(key)),
    forget: async (key) => void (await limiter.delete(key)),
  };
}
