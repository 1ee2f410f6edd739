import type { EffectiveStandard } from '../marking/standard';
import { chanceAllRight, recallUnseen } from './aim';
import { recallAt, type Memory } from './memory';
import { kindsOfItem, type SafetyQuestion } from './question';

/** Standards that ask more than this of a kind allow wrong answers among them: a chance of all right says little. */
const mostAsked = 2;

/**
 * The chance that all the tell and show questions of a test are answered right at a moment.
 * @returns 0 to 1; undefined where the standard asks none, or many
 */
export function chanceOnTest(
  standard: EffectiveStandard,
  bank: readonly SafetyQuestion[],
  memory: ReadonlyMap<string, Memory>,
  moment: Date,
): number | undefined {
  const rules = standard.questions.filter(({ kind }) => kind !== 'oral');
  if (rules.length === 0 || rules.some(({ perTest }) => perTest.value > mostAsked)) return undefined;
  return chanceAllRight(
    rules.flatMap((rule) => {
      const kinds = kindsOfItem(standard, rule.item);
      const recalls = bank
        .filter(({ kind }) => kinds.includes(kind))
        .map(({ id }) => {
          const known = memory.get(id);
          return known ? recallAt(known, moment) : recallUnseen;
        });
      return Array.from({ length: rule.perTest.value }, () => recalls);
    }),
  );
}
