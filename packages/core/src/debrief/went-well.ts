import { drivenMs, exerciseRuns, sectionMs } from '../drive/clock';
import type { Drive } from '../drive/drive';
import { askedOn } from '../marking/asked';
import { countingMarks } from '../marking/counting';
import type { ItemCounts } from '../marking/likely';
import { rulesOf } from '../marking/rules';
import type { EffectiveStandard } from '../marking/standard';

/** A stretch without a mark is worth a word from this length on (house default). */
const stretchMs = 8 * 60_000;
const independentMs = 5 * 60_000;
const moveOffsLeast = 3;
/** An item counts as mended when it was marked in this many of the last drives. */
const mendedFrom = 2;

/** Something that went well, counted. */
export type GoodThing =
  | { readonly kind: 'stretch'; readonly fromMs: number; readonly toMs: number }
  | { readonly kind: 'exercise'; readonly exercise: string; readonly goes: number }
  | { readonly kind: 'questions'; readonly right: number }
  | { readonly kind: 'move-offs'; readonly count: number }
  | { readonly kind: 'independent'; readonly ms: number }
  | { readonly kind: 'no-help'; readonly ms: number }
  /** Marked in some of the last drives and not in this one. */
  | { readonly kind: 'mended'; readonly item: string; readonly drives: number; readonly of: number };

/**
 * What went well on an ended drive: only what can be counted.
 * @param past how often each item was marked in the drives before, oldest first
 */
export function wentWell(standard: EffectiveStandard, drive: Drive, past: readonly ItemCounts[]): readonly GoodThing[] {
  const marks = countingMarks(standard, drive);
  const endMs = drive.lastMs;
  const driven = drivenMs(drive, endMs);
  const good: GoodThing[] = [];
  if (driven >= stretchMs && drive.prompts.length + drive.interventions.length === 0)
    good.push({ kind: 'no-help', ms: driven });
  const { items } = rulesOf(standard);
  const recent = past.slice(-3);
  for (const [item, drives] of timesMarked(recent))
    if (drives >= mendedFrom && items.has(item) && !marks.some((mark) => mark.item === item))
      good.push({ kind: 'mended', item, drives, of: recent.length });
  const runs = exerciseRuns(drive, endMs);
  for (const exercise of new Set(runs.map((run) => run.exercise)))
    if (!marks.some((mark) => mark.exercise === exercise))
      good.push({ kind: 'exercise', exercise, goes: runs.filter((run) => run.exercise === exercise).length });
  const alone = sectionMs(drive, 'independent', endMs);
  const inSection = (atMs: number) => drive.spans.findLast(({ fromMs }) => fromMs <= atMs)?.section;
  if (alone >= independentMs && !marks.some(({ atMs }) => inSection(atMs) === 'independent'))
    good.push({ kind: 'independent', ms: alone });
  const stretch = longestStretch(
    drive,
    marks.map(({ atMs }) => atMs),
  );
  if (stretch && stretch.toMs - stretch.fromMs >= stretchMs) good.push({ kind: 'stretch', ...stretch });
  const moveOffs = drive.steps.filter(({ step }) => step === 'move-off').length;
  const movedOffWrong = marks.some(({ item }) => items.get(item)?.item.behaviour.startsWith('moving-off.'));
  if (moveOffs >= moveOffsLeast && !movedOffWrong) good.push({ kind: 'move-offs', count: moveOffs });
  const asked = askedOn(standard, drive);
  const right = asked.reduce((sum, one) => sum + one.right, 0);
  if (right > 0 && asked.every(({ wrong }) => wrong === 0)) good.push({ kind: 'questions', right });
  return good;
}

/** In how many drives each item was marked. */
export function timesMarked(past: readonly ItemCounts[]): ReadonlyMap<string, number> {
  const drives = new Map<string, number>();
  for (const counts of past)
    for (const [item, n] of Object.entries(counts)) if (n > 0) drives.set(item, (drives.get(item) ?? 0) + 1);
  return drives;
}

function longestStretch(drive: Drive, marksMs: readonly number[]): { fromMs: number; toMs: number } | undefined {
  const edges = [0, ...[...marksMs].sort((a, b) => a - b), drive.ended?.atMs ?? drive.lastMs];
  let best: { fromMs: number; toMs: number } | undefined;
  for (let i = 1; i < edges.length; i++) {
    const [fromMs, toMs] = [edges[i - 1]!, edges[i]!];
    if (!best || toMs - fromMs > best.toMs - best.fromMs) best = { fromMs, toMs };
  }
  return best;
}
