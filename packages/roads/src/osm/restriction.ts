import type { Tags } from '../road-tags';
import type { DroppedRestriction, Restriction } from '../source';

/** A member of a relation. */
export interface Member {
  readonly type: string;
  readonly role: string;
  readonly ref: number;
}

const kinds = /^(no_(left|right|u)_turn|no_straight_on|no_entry|no_exit|only_(left|right|u)_turn|only_straight_on)$/;
const ofCars = /(^|;)\s*(motorcar|motor_vehicle|vehicle)\s*(;|$)/;

/**
 * The turn restriction a relation is (wiki: Relation:restriction), why it does not bind cars, or nothing where it is no
 * restriction. One that holds at some hours only is kept: a planned drive may be at any hour.
 */
export function readRestriction(
  id: number,
  tags: Tags,
  members: readonly Member[],
): Restriction | DroppedRestriction | undefined {
  if (tags['type'] !== 'restriction' && !tags['type']?.startsWith('restriction:')) return undefined;
  const conditional = tags['restriction:conditional']?.split('@')[0]?.trim();
  const own = tags['restriction:motorcar'] ?? tags['restriction:motor_vehicle'];
  const kind = own ?? tags['restriction'] ?? conditional;
  if (kind === undefined) {
    const others = Object.keys(tags).some((key) => key.startsWith('restriction:'));
    return { id, reason: others ? 'other-vehicles' : 'unknown-kind' };
  }
  if (tags['type'] !== 'restriction' && !ofCars.test(tags['type'].slice('restriction:'.length)))
    return { id, reason: 'other-vehicles' };
  if (ofCars.test(tags['except'] ?? '')) return { id, reason: 'exempt' };
  if (!kinds.test(kind)) return { id, reason: 'unknown-kind' };
  const ways = (role: string) => members.filter((one) => one.role === role && one.type === 'way').map(({ ref }) => ref);
  const from = ways('from');
  const to = ways('to');
  const viaWays = ways('via');
  const node = members.find((one) => one.role === 'via' && one.type === 'node');
  if (from.length === 0 || to.length === 0 || (!node && viaWays.length === 0)) return { id, reason: 'member-missing' };
  return { id, kind, from, to, via: node ? { node: node.ref } : { ways: viaWays } };
}
