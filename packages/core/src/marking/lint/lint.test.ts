import { problemWords } from '@jasperwren/words/marking/problems';
import { readFileSync } from 'node:fs';
import { parseStandardFile, standardFile } from '../../formats/standard-file';
import { standardFileSchema } from '../../formats/standard-schema';
import { lintStandard } from './lint';
import { differencesBetween, type Difference } from '../compare/difference';
import { houseDefault } from '../provenance';
import { whatFails } from '@jasperwren/words/marking/read-out';
import type { Limit, Standard } from '../standard';
import { choosing, graded, tally, templates, timedYard } from '../testing-standards';

const limit = (changes: Partial<Limit>): Limit => ({
  code: 'made-up',
  name: 'Made up',
  scope: { kind: 'test' },
  measure: { kind: 'count', grades: ['driving'] },
  allowed: houseDefault(3, 'test'),
  effect: { kind: 'fail-test' },
  ...changes,
});
const withLimit = (changes: Partial<Limit>): Standard => ({ ...tally, limits: [...tally.limits, limit(changes)] });
const causes = (standard: Standard) =>
  lintStandard(standard).map((problem) => `${problem.path}: ${problemWords(problem)}`);

describe('contradictions in a standard', () => {
  it.each(templates)('are not in the $id template', (standard) => expect(lintStandard(standard)).toEqual([]));

  it.each<[string, Standard, string]>([
    [
      'a grade that does not exist',
      withLimit({ measure: { kind: 'count', grades: ['grave'] } }),
      '/limits/3/measure/grades: Made up: The standard has no grade “grave”.',
    ],
    [
      'a limit that comes too late',
      withLimit({ scope: { kind: 'category' }, allowed: houseDefault(20, 'test') }),
      '/limits/3/allowed: Made up: no effect, “Driving faults” is always reached first.',
    ],
    [
      'a limit above its cap',
      withLimit({ scope: { kind: 'item', item: 'checks.tell' }, allowed: houseDefault(1, 'test') }),
      '/limits/3/allowed: Made up: no effect, caps let at most 1 of these faults count.',
    ],
    [
      'a limit without marks',
      withLimit({ scope: { kind: 'item', item: 'checks.eyesight' } }),
      '/limits/3: Made up: no effect, no fault type it looks at can have such a grade.',
    ],
    [
      'points nobody gives',
      withLimit({ measure: { kind: 'points', grades: ['driving'] } }),
      '/limits/3: Made up: no effect, none of these faults is worth points.',
    ],
    [
      'a failed exercise without effect',
      withLimit({ scope: { kind: 'exercise' }, effect: { kind: 'fail-exercise' } }),
      '/limits: Exercises can be failed, but no limit says how many failed exercises fail the test.',
    ],
    [
      'a class that does not exist',
      withLimit({ scope: { kind: 'class', class: 'speed' } }),
      '/limits/3/scope: Made up: The standard has no class “speed”.',
    ],
    [
      'half a mark',
      withLimit({ allowed: houseDefault(2.5, 'test') }),
      '/limits/3/allowed: Made up: what is allowed has to be a whole number.',
    ],
    [
      'attempts of a category',
      withLimit({ measure: { kind: 'attempts' } }),
      '/limits/3/scope: Made up: attempts cannot be limited over the whole test.',
    ],
    [
      'a cap whose marks become graver beyond a limit',
      withLimit({ allowed: houseDefault(1, 'test'), effect: { kind: 'upgrade', grade: 'serious' } }),
      `/caps/0: ${tally.caps[0]!.name}: its faults count for “Made up”, which raises the grade of those beyond it, so that the result would depend on their order.`,
    ],
    ['nothing that fails', { ...tally, limits: [] }, '/limits: No limit fails the test: all would pass.'],
    [
      'one letter twice',
      { ...tally, categories: tally.categories.map((c) => ({ ...c, letter: c.letter === 'S' ? 'Q' : c.letter })) },
      '/categories/1/letter: There are two areas with the letter “Q”.',
    ],
    [
      'a behaviour nobody knows',
      {
        ...tally,
        categories: [
          { ...tally.categories[0]!, items: [{ code: 'x', behaviour: 'checks.shoes', name: 'Shoes', letter: 'S' }] },
        ],
        caps: [],
        questions: [],
      },
      '/categories/0/items/0/behaviour: The catalogue has no behaviour “checks.shoes”.',
    ],
    [
      'a longer part than the whole',
      { ...tally, length: { ...tally.length, independentMin: houseDefault(50, 'test') } },
      '/length/independentMin: The independent part is longer than the whole test.',
    ],
    [
      'a choice that is none',
      { ...tally, options: tally.options.map((o, i) => (i === 0 ? { ...o, chosen: 'maybe' } : o)) },
      '/options/0/chosen: Signal with nobody to benefit: “maybe” is not among the choices.',
    ],
  ])('names %s', (_, standard, cause) => expect(causes(standard)).toContain(cause));
});

describe('the file of a standard', () => {
  it.each(templates)('reads back the $id template as it was', (standard) =>
    expect(parseStandardFile(JSON.stringify(standardFile(standard)))).toEqual({ ok: true, value: standard }),
  );

  it('names place and cause of what is foreign or broken', () => {
    const problems = (value: unknown) => {
      const parsed = parseStandardFile(typeof value === 'string' ? value : JSON.stringify(value));
      return parsed.ok ? [] : parsed.problems.map((problem) => `${problem.path}: ${problemWords(problem)}`);
    };
    expect(problems('<xml/>')[0]).toMatch(/^: not JSON/);
    expect(problems({ format: 'gpx' })).toContain(": must have required property 'standard'");
    expect(problems(standardFile({ ...tally, limits: [{ ...tally.limits[0]!, allowed: 15 as never }] }))).toEqual([
      '/standard/limits/0/allowed: must be object',
    ]);
    expect(problems(standardFile({ ...tally, colour: 'red' } as never))).toEqual([
      '/standard: must NOT have additional properties: "colour"',
    ]);
    expect(problems(standardFile({ ...tally, limits: [] }))).toEqual([
      '/standard/limits: No limit fails the test: all would pass.',
    ]);
  });

  it('is published as the schema it is checked by', () => {
    const file = new URL('../../../../../docs/formats/standard.schema.json', `file://${__filename}`);
    expect(JSON.parse(readFileSync(file, 'utf8'))).toEqual(JSON.parse(JSON.stringify(standardFileSchema)));
  });
});

describe('what fails a learner, in words', () => {
  it('says the limits of the tally standard', () => {
    expect(whatFails(tally)).toEqual([
      'Fail: more than 15 driving faults in the whole test.',
      'Fail: 1 serious fault or dangerous fault.',
      'More than 3 driving faults of one type may be graded serious fault.',
      'Safety questions, both together: counts at most 1.',
      'Minimum for a result: 30 minutes and 10 minutes of independent driving.',
    ]);
  });

  it('stays within ten lines for every school', () => {
    for (const standard of templates) expect(whatFails(standard).length).toBeLessThanOrEqual(10);
  });

  it('follows the chosen options', () => {
    const lenient = choosing(timedYard, 'engine-stops', 'more-than-three');
    expect(whatFails(timedYard)).toContain('Fail: more than 2 demerits (engine stopped) in the whole test.');
    expect(whatFails(lenient)).toContain('Fail: more than 3 demerits (engine stopped) in the whole test.');
  });
});

describe('the difference between two versions', () => {
  it('is nothing between a standard and itself, whatever the version', () => {
    for (const standard of templates) expect(differencesBetween(standard, { ...standard, version: 7 })).toEqual([]);
  });

  it('names what changed, came, went and moved', () => {
    const [first, second, ...rest] = graded.categories;
    const changed: Standard = {
      ...graded,
      name: 'Our grades',
      limits: graded.limits.slice(1).map((l) => (l.code === 'g3' ? { ...l, allowed: houseDefault(1, 'ours') } : l)),
      categories: [second!, first!, ...rest],
      options: graded.options.map((o, i) => (i === 0 ? { ...o, chosen: 'not-needed' } : o)),
    };
    const told = (value: Difference['before']) =>
      typeof value === 'object' ? `${value.value}, ${value.provenance.source}` : value;
    const found = differencesBetween(graded, changed).map(({ where, kind, before, after }) =>
      [where.map((place) => ('name' in place ? place.name : place.field)).join(' > '), kind, told(before), told(after)]
        .filter(Boolean)
        .join(' | '),
    );
    expect(found).toContain('name | changed | Graded marks | Our grades');
    expect(found).toContain('limits > Grade 2 in all | removed');
    expect(found.find((line) => line.startsWith('limits > Grade 3 > allowed | changed | 0'))).toMatch(/1, ours$/);
    expect(found.find((line) => line.startsWith('categories | moved'))).toContain('Set-up, Safety checks');
    expect(found).toContain('options > Signal with nobody to benefit > chosen | changed | always | not-needed');
    expect(found).toHaveLength(5);
  });
});
