import type { DriveEvent, StrikeEvent } from './event';

/**
 * Which events are struck, and by which strike. A strike counts unless it is struck itself, so undoing a strike
 * brings the mark back. The start of a drive cannot be struck. Of strikes that strike each other in a ring (no
 * device writes that) the earliest in the log counts, so the answer is the same on every device.
 * @param ordered events in the order of `compareEvents`, each id once
 */
export function effectiveStrikes(ordered: readonly DriveEvent[]): ReadonlyMap<string, StrikeEvent> {
  const strikes = new Map<string, StrikeEvent>();
  const strikesOn = new Map<string, StrikeEvent[]>();
  const starts = new Set<string>();
  for (const event of ordered) if (event.type === 'started') starts.add(event.id);
  for (const event of ordered) {
    if (event.type !== 'strike' || starts.has(event.target)) continue;
    strikes.set(event.id, event);
    const others = strikesOn.get(event.target);
    if (others) others.push(event);
    else strikesOn.set(event.target, [event]);
  }
  const counts = countingStrikes(strikes, strikesOn);
  const result = new Map<string, StrikeEvent>();
  for (const [target, candidates] of strikesOn) {
    const strike = candidates.find(({ id }) => counts.get(id));
    if (strike) result.set(target, strike);
  }
  return result;
}

/** Whether each strike counts: decided from those that nothing strikes onward, without recursion. */
function countingStrikes(
  strikes: ReadonlyMap<string, StrikeEvent>,
  strikesOn: ReadonlyMap<string, readonly StrikeEvent[]>,
): ReadonlyMap<string, boolean> {
  const counts = new Map<string, boolean>();
  const undecidedOn = new Map<string, number>();
  for (const id of strikes.keys()) undecidedOn.set(id, strikesOn.get(id)?.length ?? 0);

  const decide = (first: StrikeEvent, firstCounts: boolean) => {
    const waiting: (readonly [StrikeEvent, boolean])[] = [[first, firstCounts]];
    for (let next = waiting.pop(); next; next = waiting.pop()) {
      const [strike, holds] = next;
      if (counts.has(strike.id)) continue;
      counts.set(strike.id, holds);
      const target = strikes.get(strike.target);
      if (!target || counts.has(target.id)) continue;
      const left = undecidedOn.get(target.id)! - 1;
      undecidedOn.set(target.id, left);
      if (holds) waiting.push([target, false]);
      else if (left === 0) waiting.push([target, true]);
    }
  };

  for (const strike of strikes.values()) if (undecidedOn.get(strike.id) === 0) decide(strike, true);
  // What is left strikes in rings.
  for (const strike of strikes.values()) if (!counts.has(strike.id)) decide(strike, true);
  return counts;
}
