import { problemWords } from '@jasperwren/words/marking/problems';
import fc from 'fast-check';
import { fullTest } from '../drive/testing';
import { anyLog } from '../drive/testing-arbitraries';
import type { Standard } from '../marking/standard';
import { tally } from '../marking/testing-standards';
import { parseDriveRecords } from './drive-record';
import { fileText } from './file-text';

const record = (more: object = {}) => ({
  format: 'jasperwren-drive',
  formatVersion: 1,
  driveId: 'drive',
  standard: { id: 'tally', version: tally.version },
  events: fullTest([]),
  ...more,
});
const problems = (value: unknown) => {
  const parsed = parseDriveRecords(typeof value === 'string' ? value : JSON.stringify(value));
  return parsed.ok ? [] : parsed.problems.map((problem) => `${problem.path}: ${problemWords(problem)}`);
};
const withStandard = (changes: object) => problems(record({ standard: { ...tally, ...changes } }));
const made = (value: number) => ({ value, provenance: { kind: 'house default' } });
const everything = tally.categories.flatMap(({ items }) => items.map(({ code }) => code));

describe('a record that carries its standard whole', () => {
  it('is taken where the standard is sound', () => {
    expect(withStandard({})).toEqual([]);
  });

  it.each<[string, object, RegExp]>([
    [
      'a limit in words',
      { limits: [{ ...tally.limits[0], allowed: { ...made(0), value: 'fifteen' } }] },
      /^\/standard\/limits\/0\/allowed\/value: must be number/,
    ],
    ['no limits', { limits: [] }, /^\/standard\/limits: No limit fails the test/],
    ['no categories', { categories: [] }, /^\/standard\/categories: A standard needs at least one/],
    ['no list of categories', { categories: undefined }, /^\/standard: must have required property 'categories'/],
    ['an effect nobody knows', { limits: [{ ...tally.limits[0], effect: { kind: 'shrug' } }] }, /unknown kind "shrug"/],
    [
      'a cap over everything',
      {
        caps: [
          {
            code: 'all',
            name: 'All',
            items: everything,
            grades: ['driving', 'serious', 'dangerous'],
            over: 'together',
            free: made(1000),
          },
        ],
      },
      /failing grades cannot be capped/,
    ],
    [
      'a cap that frees everything',
      {
        caps: [
          { code: 'all', name: 'All', items: everything, grades: ['driving'], over: 'together', free: made(1000) },
        ],
      },
      /frees more than 20 faults/,
    ],
    [
      'a limit without end',
      { limits: [{ ...tally.limits[0], allowed: made(1e9) }, tally.limits[1]] },
      /allows more than 86400/,
    ],
    ['a serious fault that nothing counts', { limits: [tally.limits[0]] }, /^\/standard\/grades\/1: One serious fault/],
    [
      'neither name nor categories',
      { name: undefined, categories: undefined, limits: undefined },
      /required property 'name'/,
    ],
  ])('is refused with %s, and the place is named', (_, changes, expected) => {
    expect(withStandard(changes).join('\n')).toMatch(new RegExp(expected.source, 'm'));
  });

  it('is refused where its header and its start name different standards', () => {
    expect(problems(record({ standard: { id: 'graded', version: 2 } }))).toEqual([
      '/standard: is "graded" in version 2, and the start at /events/0 names "tally" in version ' + tally.version,
    ]);
    expect(withStandard({ version: 7 })).toEqual([
      '/standard: is "tally" in version 7, and the start at /events/0 names "tally" in version ' + tally.version,
    ]);
  });
});

describe('the events of a record', () => {
  const events = fullTest([{ type: 'pin' }, { type: 'prompt' }]);

  it('may be there twice, the start too, whatever the order of their fields', () => {
    const turned = events.map((event) => Object.fromEntries(Object.entries(event).reverse()));
    expect(problems(record({ events: [...events, ...turned.reverse()] }))).toEqual([]);
  });

  it('are refused where two share an id and differ, with both places', () => {
    const other = { ...events[3], atMs: 7 };
    expect(problems(record({ events: [...events, other] }))).toEqual([
      `/events/${events.length}: has the id of /events/3 and says something else`,
    ]);
  });

  it('have numbers a computer holds exactly', () => {
    const source = (text: string) => JSON.stringify(record()).replace('"atMs":0', `"atMs":${text}`);
    for (const text of ['1e400', '-1', '0.5', '9007199254740993', '1e308'])
      expect(problems(source(text))[0]).toMatch(/^\/events\/0\/atMs: must be/);
    const measured = record({
      events: fullTest([{ type: 'mark', item: 'signs.lights', grade: 'driving', measured: 3 }]),
    });
    expect(problems(JSON.stringify(measured).replace('"measured":3', '"measured":1e400'))[0]).toMatch(
      /measured: must be number/,
    );
  });

  it('name a type nobody knows, and not the many that are known', () => {
    expect(problems(record({ events: [...events, { ...events[3], id: 'x', type: 'dance' }] }))).toEqual([
      `/events/${events.length}/type: unknown type "dance"`,
    ]);
  });
});

describe('the text of a file', () => {
  const bytes = (text: string) => new TextEncoder().encode(text);
  const utf16 = (text: string) => new Uint8Array(Buffer.from(text, 'utf16le'));

  it('is UTF-8, with a byte order mark or without', () => {
    expect(fileText(bytes('\uFEFF{"a":"ä"}'))).toEqual({ ok: true, value: '{"a":"ä"}' });
    fc.assert(
      fc.property(fc.string({ unit: 'grapheme', minLength: 1 }), (text) => {
        const value = `{"a":${JSON.stringify(text)}}`;
        expect(fileText(bytes(value))).toEqual({ ok: true, value });
      }),
    );
  });

  it('is named where it is UTF-16, with a mark or without', () => {
    for (const content of [utf16('\uFEFF{"a":1}'), utf16('{"a":1}'), Uint8Array.from([0xfe, 0xff, 0, 0x7b])])
      expect(fileText(content)).toMatchObject({ ok: false, problems: [{ cause: expect.stringContaining('UTF-16') }] });
  });

  it('is refused where a byte is no letter, with line and column, and never replaced', () => {
    const spoilt = Uint8Array.from([...bytes('{\n  "ä": "'), 0xc3, 0x28, ...bytes('"}')]);
    expect(fileText(spoilt)).toEqual({
      ok: false,
      problems: [
        { path: '', cause: 'the file is not UTF-8: line 2, column 9 holds a byte that is none of its letters' },
      ],
    });
  });

  it('is JSON or says where it stops being so', () => {
    expect(problems('{\n  "format": "x",\n  oops\n}')).toEqual([': not JSON: line 3, column 3: invalid symbol']);
    expect(problems('')[0]).toMatch(/^: not JSON: line 1, column 1/);
    expect(problems('['.repeat(200_000))[0]).toMatch(/^: not JSON/);
  });
});

describe('any JSON', () => {
  it('is read or refused with places, and nothing is thrown', () => {
    const anything = fc.oneof(
      fc.json(),
      fc.tuple(anyLog, fc.jsonValue()).map(([events, standard]) => JSON.stringify(record({ events, standard }))),
      fc
        .record(Object.fromEntries(Object.keys(tally).map((key) => [key, fc.jsonValue()])), { requiredKeys: [] })
        .map((spoilt) => JSON.stringify(record({ standard: { ...tally, ...(spoilt as Partial<Standard>) } }))),
    );
    fc.assert(
      fc.property(anything, (source) => {
        const parsed = parseDriveRecords(source);
        if (!parsed.ok)
          for (const problem of parsed.problems)
            expect(`${problem.path} ${problemWords(problem)}`).toMatch(/^(\/.*)? \S/s);
      }),
      { numRuns: 300 },
    );
  });
});
