import type { Choice, Setting, Standard, StandardOption } from '../standard';
import { added, freeCode, inList, itemsOf, withField, type Change } from './change';

/** Changes of the options of a standard: what practitioners disagree on, and what each choice sets. */

/** Adds an option with two choices, of which the first is chosen. */
export const withNewOption =
  (words: Pick<StandardOption, 'name' | 'reason'>, choices: readonly [string, string]): Change =>
  (standard) => {
    const [one, other] = choices.map((name, i): Choice => ({ code: `own-${i + 1}`, name }));
    const code = freeCode(standard.options);
    return added('options', { code, ...words, choices: [one!, other!], chosen: one!.code })(standard);
  };

/** Changes an option. */
export const inOption = (code: string, change: (option: StandardOption) => StandardOption): Change =>
  inList('options', code, change);

const inChoice = (code: string, choice: string, change: (choice: Choice) => Choice): Change =>
  inOption(code, (option) => ({
    ...option,
    choices: option.choices.map((one) => (one.code === choice ? change(one) : one)),
  }));

/** Adds a choice to an option. */
export const addChoice = (code: string, name: string): Change =>
  inOption(code, (option) => ({ ...option, choices: [...option.choices, { code: freeCode(option.choices), name }] }));

export const renameChoice = (code: string, choice: string, name: string): Change =>
  inChoice(code, choice, withField<Choice, 'name'>('name', name));

/** Takes a choice out; where it was the chosen one, the first that is left is chosen. */
export const removeChoice = (code: string, choice: string): Change =>
  inOption(code, (option) => {
    const choices = option.choices.filter((one) => one.code !== choice);
    return { ...option, choices, chosen: option.chosen === choice ? (choices[0]?.code ?? '') : option.chosen };
  });

/** Sets what a choice sets; nothing takes the list out. */
export const setSettings = (code: string, choice: string, sets: readonly Setting[]): Change =>
  inChoice(code, choice, withField<Choice, 'sets'>('sets', sets));

/** What a choice can set next of a kind; undefined where the standard has nothing such. */
export function newSetting(standard: Standard, kind: Setting['kind']): Setting | undefined {
  const [limit] = standard.limits;
  if (kind === 'limit') return limit && { kind, limit: limit.code, allowed: limit.allowed.value };
  const items = itemsOf(standard);
  if (kind === 'bands') {
    const measured = items.find((item) => item.measured);
    return measured && { kind, item: measured.code, bands: measured.measured!.bands };
  }
  const [item] = items;
  return item && { kind, item: item.code, grades: item.grades ?? standard.grades.map(({ code }) => code) };
}
