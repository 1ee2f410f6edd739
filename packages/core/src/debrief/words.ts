import { itemName, inWords, joinWords } from '../marking/wording';
import { rulesOf } from '../marking/rules';
import type { EffectiveStandard } from '../marking/standard';
import type { ComparedWithLast } from './compared';
import type { Pattern } from './patterns';
import { placeWords } from './places';
import type { GoodThing } from './went-well';
import type { WorkOn } from './work-on';

const minutes = (ms: number) => `${Math.round(ms / 60_000)} min`;

/** Minutes and seconds of the drive's clock, such as 22:41. */
function clock(ms: number): string {
  const seconds = Math.floor(ms / 1000);
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}

/** Something that went well, in a sentence. */
export function goodThingWords(standard: EffectiveStandard, good: GoodThing): string {
  switch (good.kind) {
    case 'stretch':
      return `${minutes(good.toMs - good.fromMs)} without a mark, from ${clock(good.fromMs)} to ${clock(good.toMs)}.`;
    case 'exercise': {
      const name = standard.exercises.find(({ code }) => code === good.exercise)?.name ?? good.exercise;
      return `${name}: ${good.goes === 1 ? 'driven' : `driven ${good.goes} times`} without a mark.`;
    }
    case 'questions':
      return `${good.right === 1 ? 'The question' : `All ${inWords(good.right)} questions`} answered right.`;
    case 'move-offs':
      return `Moved off ${good.count} times without a mark.`;
    case 'independent':
      return `${minutes(good.ms)} of independent driving without a mark.`;
    case 'no-help':
      return `No help needed in ${minutes(good.ms)}.`;
    case 'mended':
      return `${itemName(standard, good.item)}: marked in ${inWords(good.drives)} of the last ${inWords(good.of)} drives, not today.`;
  }
}

/** What marks have in common, in a sentence. */
export function patternWords(standard: EffectiveStandard, pattern: Pattern): string {
  switch (pattern.kind) {
    case 'item':
      return `${itemName(standard, pattern.item)}: ${inWords(pattern.count)} times on this drive.`;
    case 'area': {
      const name = standard.categories.find(({ code }) => code === pattern.category)?.name ?? pattern.category;
      return `${pattern.count} of ${pattern.of} marks belong to one area: ${name.toLowerCase()}.`;
    }
    case 'place':
      return `${pattern.count} of ${pattern.of} marks came ${placeWords[pattern.place]}.`;
    case 'late':
      return `${pattern.count} of ${pattern.of} marks came in the last third, after ${minutes(pattern.fromMs)}. By chance alone that happens in about ${Math.max(1, Math.round(pattern.chance * 100))} drives of 100: was it tiredness?`;
  }
}

/** The drive beside the last ones, in sentences. */
export function comparedWords(standard: EffectiveStandard, compared: ComparedWithLast): readonly string[] {
  const { drives, marks, before, again, fresh } = compared;
  if (drives === 0) return [];
  const names = (items: readonly string[]) => joinWords(items.map((item) => itemName(standard, item)));
  const counts = joinWords(before.map(String));
  return [
    `${marks} ${marks === 1 ? 'mark' : 'marks'} today, ${counts} in the ${drives === 1 ? 'drive' : `${inWords(drives)} drives`} before.`,
    ...(again.length > 0 ? [`Marked every time: ${names(again)}.`] : []),
    ...(fresh.length > 0 && fresh.length <= 3 ? [`New today: ${names(fresh)}.`] : []),
  ];
}

/** Why something is worth working on. */
export function workOnWords(standard: EffectiveStandard, { today, gravest, drives, of }: WorkOn): string {
  const grade = gravest === undefined ? undefined : rulesOf(standard).grades.get(gravest)?.name;
  const now =
    today === 0
      ? 'Not marked today'
      : today === 1
        ? `One ${grade ?? 'mark'} today`
        : `${today} times today, ${grade} at worst`;
  return of > 1 && drives > 1 ? `${now}; in ${inWords(drives)} of the last ${inWords(of)} drives.` : `${now}.`;
}
