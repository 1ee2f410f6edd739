import { lintStandard } from '../lint/lint';
import { effective } from '../options';
import { tally } from '../testing-standards';
import { addChoice, newSetting, removeChoice, renameChoice, setSettings, withNewOption } from './options';

const more = withNewOption({ name: 'New option', reason: 'Why.' }, ['Choice 1', 'Choice 2'])(tally);
const { code, choices } = more.options.at(-1)!;

describe('changes of options', () => {
  it('add one with two choices that set nothing', () => {
    expect(lintStandard(more)).toEqual([]);
    expect(choices.map((choice) => choice.code)).toEqual(['own-1', 'own-2']);
    expect(effective(more).limits).toEqual(effective(tally).limits);
  });

  it('let a choice set a limit, which holds once it is chosen', () => {
    const setting = { ...newSetting(tally, 'limit')!, allowed: 7 } as const;
    const set = setSettings(code, 'own-2', [setting])(more);
    const chosen = {
      ...set,
      options: set.options.map((one) => (one.code === code ? { ...one, chosen: 'own-2' } : one)),
    };
    expect(lintStandard(chosen)).toEqual([]);
    expect(effective(chosen).limits[0]!.allowed.value).toBe(7);
    expect(effective(set).limits[0]!.allowed.value).toBe(tally.limits[0]!.allowed.value);
    expect(setSettings(code, 'own-2', [])(set)).toEqual(more);
  });

  it('let a choice set the grades of a fault type', () => {
    const setting = newSetting(tally, 'grades')!;
    expect(lintStandard(setSettings(code, 'own-1', [setting])(more))).toEqual([]);
    expect(newSetting({ ...tally, categories: [] }, 'grades')).toBeUndefined();
    expect(newSetting({ ...tally, limits: [] }, 'limit')).toBeUndefined();
  });

  it('take a choice out and choose another where it was the chosen one', () => {
    const three = renameChoice(code, 'own-3', 'Third')(addChoice(code, 'Choice 3')(more));
    expect(
      three.options
        .at(-1)!
        .choices.map(({ name }) => name)
        .at(-1),
    ).toBe('Third');
    const left = removeChoice(code, 'own-1')(three).options.at(-1)!;
    expect([left.chosen, left.choices.length]).toEqual(['own-2', 2]);
    expect(removeChoice(code, 'own-3')(three)).toEqual(more);
  });
});
