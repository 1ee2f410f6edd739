import { drivenBefore, drivenMs } from '../drive/clock';
import type { Drive, Mark } from '../drive/drive';
import { countingMarks } from '../marking/counting';
import { rulesOf } from '../marking/rules';
import type { EffectiveStandard } from '../marking/standard';
import { chanceOfAtLeast } from './chance';
import { competenceOf, type Competence } from './competences';
import { placeOf, type Place } from './places';

/** How often something has to happen on one drive to be spoken of (house default). */
const least = 3;
/** A group is spoken of when it holds this share of all marks (house default). */
const share = 0.5;
/** Marks crowd at the end when chance alone would do that in one drive of ten or fewer (house default). */
const lateChance = 0.1;
const lateLeast = 4;

/** Something that the marks of one drive have in common. */
export type Pattern =
  | { readonly kind: 'item'; readonly item: string; readonly count: number }
  | { readonly kind: 'area'; readonly category: string; readonly count: number; readonly of: number }
  /** One thing that was marked in several areas. */
  | { readonly kind: 'competence'; readonly competence: Competence; readonly count: number; readonly of: number }
  | { readonly kind: 'place'; readonly place: Place; readonly count: number; readonly of: number }
  /** More of the marks in the last third of the drive than chance would put there: tiredness, perhaps. */
  | {
      readonly kind: 'late';
      readonly count: number;
      readonly of: number;
      readonly fromMs: number;
      /** How likely so many are by chance alone. */
      readonly chance: number;
    };

/** What the marks of a drive have in common, the most telling first. */
export function patternsIn(standard: EffectiveStandard, drive: Drive): readonly Pattern[] {
  const marks = countingMarks(standard, drive);
  const { items } = rulesOf(standard);
  const groups = (keyOf: (mark: Mark) => string | undefined) => {
    const counts = new Map<string, number>();
    for (const mark of marks) {
      const key = keyOf(mark);
      if (key !== undefined) counts.set(key, (counts.get(key) ?? 0) + 1);
    }
    return [...counts].filter(([, n]) => n >= least).sort((a, b) => b[1] - a[1]);
  };
  const of = marks.length;
  const repeated = groups(({ item }) => item).map(([item, count]): Pattern => ({ kind: 'item', item, count }));
  const areas = groups(({ item }) => items.get(item)?.category.code)
    .filter(([, n]) => n >= of * share)
    .map(([category, count]): Pattern => ({ kind: 'area', category, count, of }));
  const competenceAt = (mark: Mark) => competenceOf(items.get(mark.item)?.item.behaviour ?? '');
  const areasOf = (competence: string) =>
    new Set(marks.filter((one) => competenceAt(one) === competence).map(({ item }) => items.get(item)?.category.code));
  const competences = groups(competenceAt)
    .filter(([competence]) => areasOf(competence).size > 1)
    .map(([competence, count]): Pattern => ({ kind: 'competence', competence: competence as Competence, count, of }));
  const places = groups(({ item }) => placeOf(items.get(item)?.item.behaviour ?? ''))
    .filter(([, n]) => n >= of * share)
    .map(([place, count]): Pattern => ({ kind: 'place', place: place as Place, count, of }));
  return [...late(drive, marks), ...repeated, ...competences, ...areas, ...places];
}

function late(drive: Drive, marks: readonly Mark[]): readonly Pattern[] {
  const toMs = drivenMs(drive, drive.lastMs);
  const fromMs = Math.round((toMs * 2) / 3);
  const count = marks.filter((mark) => drivenBefore(drive, mark.atMs) >= fromMs).length;
  const chance = chanceOfAtLeast(count, marks.length, 1 / 3);
  return count >= lateLeast && chance <= lateChance ? [{ kind: 'late', count, of: marks.length, fromMs, chance }] : [];
}
