import { bandWords } from '@jasperwren/words/marking/bands';
import { gradeOfValue } from './measured';
import { isChosen, settingsOf, effective } from './options';
import { rulesOf } from './rules';
import type { Measured, Standard } from './standard';
import { choosing } from './testing-standards';
import { reversingArea } from './templates/reversing-area';
import { tally } from './templates/tally';
import { templates } from './templates';
import { timedYard } from './templates/timed-yard';

const limit = (standard: Standard, code: string) => standard.limits.find((l) => l.code === code)!.allowed.value;

describe('options of a standard', () => {
  it('set the number of a limit, the grades of an item and the bands of a measured one', () => {
    expect(limit(choosing(timedYard, 'engine-stops', 'more-than-three'), 'engine')).toBe(3);
    const free = choosing(reversingArea, 'shunt', 'free');
    expect(rulesOf(free).items.get('reverse.shunt')!.item.grades).toEqual(['noted']);
    const strict = choosing(timedYard, 'yard-speed', 'over-34');
    expect(rulesOf(strict).items.get('whole.overspeed')!.item.measured!.bands[0]!.over).toBe(34);
  });

  it('change nothing where the choice sets nothing', () => {
    expect(choosing(tally, 'stop-hold', 'count-5').limits).toEqual(tally.limits);
    expect(settingsOf(tally)).toEqual([]);
  });

  it('leave the standard itself as it was, and change nothing when they are applied again', () => {
    const before = JSON.stringify(timedYard);
    for (const { code, choices } of timedYard.options) {
      for (const choice of choices) {
        const once = choosing(timedYard, code, choice.code);
        expect(effective(once)).toEqual(once);
      }
    }
    expect(JSON.stringify(timedYard)).toBe(before);
  });

  it('keep the numbers the templates state, so that reading a template and judging by it agree', () => {
    for (const standard of templates)
      for (const { code, allowed } of standard.limits) expect(limit(effective(standard), code)).toBe(allowed.value);
  });

  it('can be asked about', () => {
    expect(isChosen(tally, 'signal-need', 'not-needed')).toBe(true);
    expect(isChosen(tally, 'signal-need', 'always')).toBe(false);
    expect(isChosen(tally, 'no-such-matter', 'always')).toBe(false);
  });
});

describe('measured values', () => {
  const provenance = { kind: 'house default' } as const;
  const measured: Measured = {
    quantity: 'speed',
    unit: 'km/h',
    bands: [
      { below: 20, grade: 'slow', provenance },
      { over: 30, below: 40, grade: 'fast', provenance },
      { atLeast: 40, grade: 'mad', provenance },
    ],
  };

  it('fall into the first band that holds them, bounds as the band says', () => {
    expect([0, 19.9, 20, 30, 30.1, 39.9, 40, 400].map((value) => gradeOfValue(measured, value))).toEqual([
      'slow',
      'slow',
      undefined,
      undefined,
      'fast',
      'fast',
      'mad',
      'mad',
    ]);
  });

  it('are told in words with their unit', () => {
    expect(measured.bands.map((band) => bandWords(band, 'km/h'))).toEqual([
      'below 20 km/h',
      'over 30 and below 40 km/h',
      '40 km/h or more',
    ]);
    expect(bandWords({ grade: 'x', provenance }, 'cm')).toBe('any cm');
  });
});
