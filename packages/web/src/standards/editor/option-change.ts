import type { Choice, Setting, Standard, StandardOption } from '@jasperwren/core/marking/standard';
import { t } from '@jasperwren/words/editor';
import { freeCode, type Change } from './change';

/** Changes of the options of a standard: what practitioners disagree on, and what each choice sets. */

/** Adds an option with two choices, of which the first is chosen. */
export const withNewOption: Change = (standard) => {
  const [one, other] = ['own-1', 'own-2'].map((code, i): Choice => ({ code, name: t('choiceNth', { nth: i + 1 }) }));
  const option: StandardOption = {
    code: freeCode(standard.options),
    name: t('newOption'),
    choices: [one!, other!],
    chosen: one!.code,
    reason: t('whyThisChoice'),
  };
  return { ...standard, options: [...standard.options, option] };
};

const inOption = (code: string, change: (option: StandardOption) => StandardOption): Change => {
  return (standard) => ({
    ...standard,
    options: standard.options.map((option) => (option.code === code ? change(option) : option)),
  });
};

/** Adds a choice to an option. */
export const addChoice = (code: string): Change =>
  inOption(code, (option) => ({
    ...option,
    choices: [
      ...option.choices,
      { code: freeCode(option.choices), name: t('choiceNth', { nth: option.choices.length + 1 }) },
    ],
  }));

export const changeChoice = (code: string, choice: string, changes: Partial<Choice>): Change =>
  inOption(code, (option) => ({
    ...option,
    choices: option.choices.map((one) => (one.code === choice ? { ...one, ...changes } : one)),
  }));

/** Takes a choice out; where it was the chosen one, the first that is left is chosen. */
export const removeChoice = (code: string, choice: string): Change =>
  inOption(code, (option) => {
    const choices = option.choices.filter((one) => one.code !== choice);
    return { ...option, choices, chosen: option.chosen === choice ? (choices[0]?.code ?? '') : option.chosen };
  });

/** Sets what a choice sets; nothing takes the list out. */
export const setSettings = (code: string, choice: string, sets: readonly Setting[]): Change =>
  inOption(code, (option) => ({
    ...option,
    choices: option.choices.map(({ sets: before, ...one }) => {
      if (one.code !== choice) return before ? { ...one, sets: before } : one;
      return sets.length > 0 ? { ...one, sets } : one;
    }),
  }));

/** What a choice can set next of a kind; undefined where the standard has nothing such. */
export function newSetting({ limits, categories, grades }: Standard, kind: Setting['kind']): Setting | undefined {
  const [limit] = limits;
  if (kind === 'limit') return limit && { kind, limit: limit.code, allowed: limit.allowed.value };
  const items = categories.flatMap((category) => category.items);
  if (kind === 'bands') {
    const measured = items.find((item) => item.measured);
    return measured && { kind, item: measured.code, bands: measured.measured!.bands };
  }
  const [item] = items;
  return item && { kind, item: item.code, grades: item.grades ?? grades.map(({ code }) => code) };
}
