import { drivenMs, sectionMs } from '../drive/clock';
import type { Drive } from '../drive/drive';
import type { EffectiveStandard } from './standard';

/** A test asks for 15 to 20 min of independent driving (common practice): three quarters of the longer are enough. */
const enoughShare = 0.75;
/** How long before it is too late the instructor hears of it (house default). */
const warnAheadMs = 2 * 60_000;
const minuteMs = 60_000;

/** How the independent part of a test stands. */
export interface IndependentPart {
  readonly haveMs: number;
  /** What is enough, in milliseconds. */
  readonly enoughMs: number;
  /** `soon` when little time is left to begin, `late` when the test will end before there is enough. */
  readonly state: 'enough' | 'in-time' | 'soon' | 'late';
}

/**
 * Whether the test will hold enough independent driving, going on as now.
 * @param nowMs on the drive's clock, in milliseconds
 * @returns undefined where the standard asks for none
 */
export function independentPart(standard: EffectiveStandard, drive: Drive, nowMs: number): IndependentPart | undefined {
  const { independentMin, totalMin } = standard.length;
  if (!independentMin) return undefined;
  const haveMs = sectionMs(drive, 'independent', nowMs);
  const enoughMs = enoughShare * independentMin.value * minuteMs;
  const slackMs = totalMin.value * minuteMs - drivenMs(drive, nowMs) - (enoughMs - haveMs);
  const under = drive.spans.at(-1)?.section === 'independent';
  const state =
    haveMs >= enoughMs ? 'enough' : slackMs < 0 ? 'late' : slackMs <= warnAheadMs && !under ? 'soon' : 'in-time';
  return { haveMs, enoughMs, state };
}
