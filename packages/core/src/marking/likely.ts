import { standingMarks, type Drive } from '../drive/drive';
import { rulesOf } from './rules';
import type { Standard } from './standard';

/** A drive two drives back weighs half of the last one. */
const halfLifeDrives = 2;

/** What learners are marked for most, for when nothing is known of this one (common practice). */
const usual = [
  'junctions.observation',
  'mirrors.before-direction',
  'moving-off.blind-spot',
  'junctions.turn-across',
  'position.normal',
  'signs.lights',
  'signals.timing',
  'controls.steering',
];

/** How many standing marks each item has, by item code. */
export type ItemCounts = Readonly<Record<string, number>>;

/** Counts the standing marks of a drive by item. */
export function countItems(drive: Drive): ItemCounts {
  const counts: Record<string, number> = {};
  for (const mark of standingMarks(drive)) counts[mark.item] = (counts[mark.item] ?? 0) + 1;
  return counts;
}

/** An item and what the learner's last drive says of it. */
export interface LikelyItem {
  readonly item: string;
  /** How often in the last drive. */
  readonly inLastDrive: number;
}

/**
 * The items most likely to be marked now: those this learner was marked for, the latest drives and the present
 * one weighing most, filled up with the usual ones.
 * @param past how often each item was marked in this learner's earlier drives, oldest first
 * @param now the drive under way
 * @param most how many items at most
 */
export function likelyItems(
  standard: Standard,
  past: readonly ItemCounts[],
  now: Drive,
  most: number,
): readonly LikelyItem[] {
  const { items } = rulesOf(standard);
  const weights = new Map<string, number>();
  const add = (counts: ItemCounts, weight: number) => {
    for (const [item, n] of Object.entries(counts)) {
      if (items.has(item)) weights.set(item, (weights.get(item) ?? 0) + n * weight);
    }
  };
  past.forEach((counts, i) => add(counts, 2 ** ((i + 1 - past.length) / halfLifeDrives)));
  add(countItems(now), 1);
  const ranked = [...weights].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1)).map(([item]) => item);
  const filled = [...ranked, ...usual.filter((item) => items.has(item) && !weights.has(item))].slice(0, most);
  const last = past.at(-1);
  return filled.map((item) => ({
    item,
    inLastDrive: last?.[item] ?? 0,
  }));
}
