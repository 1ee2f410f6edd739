import type { DriveEvent, StrikeEvent } from './event';

/**
 * Which events are struck, and by which strike. A strike counts unless it is struck itself, so undoing a strike
 * brings the mark back. Two strikes that strike each other (no device writes that) are settled by the order of
 * the log, so the answer is the same on every device.
 * @param ordered events in the order of `compareEvents`
 */
export function effectiveStrikes(ordered: readonly DriveEvent[]): ReadonlyMap<string, StrikeEvent> {
  const strikesOn = new Map<string, StrikeEvent[]>();
  for (const event of ordered) {
    if (event.type !== 'strike') continue;
    const others = strikesOn.get(event.target);
    if (others) others.push(event);
    else strikesOn.set(event.target, [event]);
  }
  const settled = new Map<string, StrikeEvent | undefined>();
  const open = new Set<string>();
  const strikeOn = (id: string): StrikeEvent | undefined => {
    if (settled.has(id)) return settled.get(id);
    if (open.has(id)) return undefined;
    open.add(id);
    const strike = strikesOn.get(id)?.find((candidate) => !strikeOn(candidate.id));
    open.delete(id);
    settled.set(id, strike);
    return strike;
  };
  const result = new Map<string, StrikeEvent>();
  for (const target of strikesOn.keys()) {
    const strike = strikeOn(target);
    if (strike) result.set(target, strike);
  }
  return result;
}
