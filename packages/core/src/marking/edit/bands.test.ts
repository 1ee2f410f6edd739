import { lintStandard } from '../lint/lint';
import { gradeOfValue } from '../measured';
import { effective } from '../options';
import { tally, timedYard } from '../testing-standards';
import { bandWords } from '@jasperwren/words/marking/bands';
import { bandAfter, beginningOf, firstGrade, newMeasured, withBeginning, withEnd } from './bands';
import type { Item } from '../standard';
import { withField } from './change';
import { inItem } from './items';
import { newSetting, setSettings, withNewOption } from './options';

const item = tally.categories[0]!.items[0]!;
const grade = firstGrade(tally, item);

describe('changes of what is measured', () => {
  it('give a fault type a measurement that the standard accepts, and take it out', () => {
    const measured = newMeasured('distance', grade);
    const more = inItem(item.code, withField<Item, 'measured'>('measured', measured))(tally);
    expect(lintStandard(more)).toEqual([]);
    expect(more.categories[0]!.items[0]!.measured).toEqual(measured);
    expect(inItem(item.code, withField<Item, 'measured'>('measured', undefined))(more)).toEqual(tally);
  });

  it('add bands that meet: every value from the first on has one grade', () => {
    const bands = bandAfter(bandAfter(bandAfter([], 'a'), 'b'), 'c');
    expect(bands.map((band) => bandWords(band, 'cm'))).toEqual([
      'over 10 and below 20 cm',
      '20 or more and below 40 cm',
      '40 cm or more',
    ]);
    const graded = (value: number) => gradeOfValue({ quantity: 'distance', unit: 'cm', bands }, value);
    expect([10, 10.5, 20, 39.9, 40, 1000].map(graded)).toEqual([undefined, 'a', 'b', 'b', 'c', 'c']);
  });

  it('move where a band begins and ends', () => {
    const [band] = bandAfter([], grade);
    const from = withBeginning(band!, 'atLeast');
    expect([beginningOf(from), from.atLeast, from.over]).toEqual(['atLeast', 10, undefined]);
    expect(beginningOf(withBeginning(from, 'open'))).toBe('open');
    expect(withBeginning(from, 'over', 12)).toMatchObject({ over: 12 });
    expect(withEnd(withEnd(band!, 30), undefined)).toEqual(withEnd(band!, undefined));
  });

  it('let a choice of an option say what measured values bring', () => {
    expect(newSetting(tally, 'bands')).toBeUndefined();
    const more = withNewOption({ name: 'New', reason: 'Why.' }, ['One', 'Other'])(timedYard);
    const { code } = more.options.at(-1)!;
    const setting = newSetting(timedYard, 'bands');
    if (setting?.kind !== 'bands') throw new Error('The timed yard measures something.');
    const [first, ...others] = setting.bands;
    const bands = [withBeginning(first!, 'atLeast', 1), ...others];
    const set = setSettings(code, 'own-1', [{ ...setting, bands }])(more);
    expect(lintStandard(set)).toEqual([]);
    const now = effective(set).categories.flatMap(({ items }) => items);
    expect(now.find((one) => one.code === setting.item)?.measured?.bands[0]?.atLeast).toBe(1);
  });
});
