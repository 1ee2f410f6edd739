import { parseStandardFile, standardFile } from '../formats/standard-file';
import { blankStandard } from './blank';
import { lintStandard } from './lint/lint';
import { fromCatalogue } from './template-parts/from-catalogue';

describe('a standard from nothing', () => {
  const blank = blankStandard('ours', 'Ours');

  it('lacks areas, and says so', () => {
    expect(lintStandard(blank).length).toBeGreaterThan(0);
  });

  it('is sound with the first area, and a file of it is read again', () => {
    const first = { ...blank, categories: [fromCatalogue('junctions', ['approach', 'observation'])] };
    expect(lintStandard(first)).toEqual([]);
    expect(parseStandardFile(JSON.stringify(standardFile(first)))).toMatchObject({ ok: true });
  });
});
