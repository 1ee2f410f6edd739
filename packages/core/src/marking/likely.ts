import { currentSpan } from '../drive/clock';
import { standingMarks, type Drive } from '../drive/drive';
import { countBy } from './grouping';
import { rulesOf } from './rules';
import type { EffectiveStandard } from './standard';

/** A drive two drives back weighs half of the last one. */
const halfLifeDrives = 2;
/** What fits what is being done weighs as much as this many marks in the last drive. */
const fitsWeight = 1;

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

/** What shows when nobody says where to go (common practice). */
const independent = ['position.lanes', 'signs.signs', 'roundabouts.lane', 'roundabouts.exit', 'awareness.planning'];

/** How many standing marks each item has, by item code. */
export type ItemCounts = Readonly<Record<string, number>>;

/** Counts the standing marks of a drive by item. */
export function countItems(drive: Drive): ItemCounts {
  return countBy(standingMarks(drive), ({ item }) => item);
}

/** The items that an exercise can bring: those that are its own, then those it lists. */
export function itemsOfExercise(standard: EffectiveStandard, exercise: string): readonly string[] {
  const own = standard.categories.flatMap(({ items }) => items.filter((item) => item.exercise === exercise));
  const listed = standard.exercises.find(({ code }) => code === exercise)?.items ?? [];
  return [...new Set([...own.map(({ code }) => code), ...listed])];
}

/** An item and what the learner's last drive says of it. */
export interface LikelyItem {
  readonly item: string;
  /** How often in the last drive. */
  readonly inLastDrive: number;
  /** It belongs to what is being done: the exercise, or driving without directions. */
  readonly fits: boolean;
}

/**
 * The items most likely to be marked now. In an exercise, those it can bring come first. Then those this learner
 * was marked for, the latest drives and the present one weighing most, with a weight more for what independent
 * driving shows while it lasts; filled up with the usual ones, and where a standard has none of those, with its items in turn.
 * @param past how often each item was marked in this learner's earlier drives, oldest first
 * @param now the drive under way
 * @param most how many items at most
 */
export function likelyItems(
  standard: EffectiveStandard,
  past: readonly ItemCounts[],
  now: Drive,
  most: number,
): readonly LikelyItem[] {
  const { items } = rulesOf(standard);
  const span = currentSpan(now);
  const exercise = span?.exercise === undefined ? [] : itemsOfExercise(standard, span.exercise);
  const fitting = new Set(span?.section === 'independent' ? independent.filter((item) => items.has(item)) : exercise);
  const weights = new Map<string, number>();
  const add = (counts: ItemCounts, weight: number) => {
    for (const [item, n] of Object.entries(counts)) {
      if (items.has(item)) weights.set(item, (weights.get(item) ?? 0) + n * weight);
    }
  };
  past.forEach((counts, i) => add(counts, 2 ** ((i + 1 - past.length) / halfLifeDrives)));
  add(countItems(now), 1);
  if (span?.section === 'independent') for (const item of fitting) add({ [item]: 1 }, fitsWeight);
  const byWeight = (a: string, b: string) => (weights.get(b) ?? 0) - (weights.get(a) ?? 0);
  const first = [...exercise].sort(byWeight);
  const ranked = [...weights.keys()].sort((a, b) => byWeight(a, b) || (a < b ? -1 : 1));
  const all = new Set([...first, ...ranked, ...usual.filter((item) => items.has(item)), ...inTurn(standard)]);
  const last = past.at(-1);
  return [...all].slice(0, most).map((item) => ({
    item,
    inLastDrive: last?.[item] ?? 0,
    fits: fitting.has(item),
  }));
}

/** The items of a standard: the first of each category, then the second of each, and so on. */
function inTurn({ categories }: EffectiveStandard): readonly string[] {
  const longest = Math.max(0, ...categories.map(({ items }) => items.length));
  return Array.from({ length: longest }, (_, i) => categories.flatMap(({ items }) => items[i]?.code ?? [])).flat();
}
