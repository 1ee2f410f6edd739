import type { Drive } from '../drive/drive';
import { standingMarks } from '../drive/drive';
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

/** How much an item of a learner's past weighs against one seen once. */
export interface LikelyItem {
  readonly item: string;
  /** How often in the last drive. */
  readonly inLastDrive: number;
}

/**
 * The items most likely to be marked now: those this learner was marked for, the latest drives and the present
 * one weighing most, filled up with the usual ones.
 * @param past this learner's earlier drives, oldest first
 * @param now the drive under way
 * @param most how many items at most
 */
export function likelyItems(standard: Standard, past: readonly Drive[], now: Drive, most: number): readonly LikelyItem[] {
  const { items } = rulesOf(standard);
  const weights = new Map<string, number>();
  const add = (drive: Drive, weight: number) => {
    for (const mark of standingMarks(drive)) {
      if (items.has(mark.item)) weights.set(mark.item, (weights.get(mark.item) ?? 0) + weight);
    }
  };
  past.forEach((drive, i) => add(drive, 2 ** ((i + 1 - past.length) / halfLifeDrives)));
  add(now, 1);
  const ranked = [...weights].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1)).map(([item]) => item);
  const filled = [...ranked, ...usual.filter((item) => items.has(item) && !weights.has(item))].slice(0, most);
  const last = past.at(-1);
  return filled.map((item) => ({
    item,
    inLastDrive: last ? standingMarks(last).filter((mark) => mark.item === item).length : 0,
  }));
}
