import fc from 'fast-check';
import type { DriveEvent, EventBody } from './event';
import { effectiveStrikes } from './strikes';
import { logOf } from './testing';

const strike = (target: string): EventBody => ({ type: 'strike', target, reason: 'test' });
const log = (...entries: (readonly [id: string, target: string])[]): readonly DriveEvent[] =>
  logOf(entries.map(([id, target], i) => [i, strike(target), id] as const));
const struck = (events: readonly DriveEvent[]) => [...effectiveStrikes(events).keys()].sort();

describe('strikes', () => {
  it('count while nobody strikes them', () => {
    expect(struck(log(['s1', 'mark']))).toEqual(['mark']);
    expect(struck(log(['s1', 'mark'], ['s2', 's1']))).toEqual(['s1']);
    expect(struck(log(['s1', 'mark'], ['s2', 's1'], ['s3', 's2']))).toEqual(['mark', 's2']);
  });

  it('do not need each other: a mark struck twice stays struck when one is taken back', () => {
    expect(struck(log(['s1', 'mark'], ['s2', 'mark'], ['s3', 's1']))).toEqual(['mark', 's1']);
  });

  it('name the strike that holds', () => {
    const events = log(['s1', 'mark'], ['s2', 'mark'], ['s3', 's1']);
    expect(effectiveStrikes(events).get('mark')?.id).toBe('s2');
  });

  it('that strike each other in a ring are settled, the same way every time', () => {
    const ring = log(['a', 'b'], ['b', 'c'], ['c', 'a']);
    expect(struck(ring)).toEqual(struck(ring));
    expect(struck(log(['a', 'a']))).toEqual(['a']);
  });

  it('hold where no other holds against them, in any log without rings', () => {
    // Each strike points at an earlier event, so there are no rings.
    const chains = fc
      .array(fc.nat(), { maxLength: 20 })
      .map((targets) => log(...targets.map((target, i) => [`s${i}`, i === 0 ? 'mark' : `s${target % i}`] as const)));
    fc.assert(
      fc.property(chains, (events) => {
        const effective = effectiveStrikes(events);
        for (const event of events) {
          if (event.type !== 'strike') continue;
          const holds = !effective.has(event.id);
          if (holds) expect(effective.has(event.target)).toBe(true);
        }
        for (const [target, by] of effective) {
          expect(by.target).toBe(target);
          expect(effective.has(by.id)).toBe(false);
        }
      }),
    );
  });
});
