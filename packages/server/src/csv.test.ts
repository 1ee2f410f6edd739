import fc from 'fast-check';
import { parse } from 'papaparse';
import { toCsv } from './csv';

const anyText = fc.oneof(fc.string({ unit: 'grapheme' }), fc.stringMatching(/^[ ,"'\r\n\t;=+@＝＋－＠a-]{0,12}$/));

describe('a table as CSV (RFC 4180)', () => {
  it('is read back as it was by an independent reader, whatever stands in it', () => {
    fc.assert(
      fc.property(fc.array(fc.record({ a: anyText, b: anyText }), { minLength: 1, maxLength: 5 }), (rows) => {
        const text = toCsv(['a', 'b'], rows);
        // papaparse: an independent reader.
        const { data, errors } = parse<Record<string, string>>(text.replace(/\r\n$/, ''), {
          header: true,
          newline: '\r\n',
        });
        expect(errors).toEqual([]);
        expect(data.map(({ a, b }) => [a, b].map(undefused))).toEqual(rows.map(({ a, b }) => [a, b].map(undefused)));
      }),
      { numRuns: 500 },
    );
  });

  it('holds no cell that a spreadsheet takes for a formula', () => {
    fc.assert(
      fc.property(fc.constantFrom('=', '+', '-', '@', '\t', '\r', '＝', '＋', '－', '＠'), anyText, (sign, rest) => {
        const [, line = ''] = toCsv(['a'], [{ a: `${sign}${rest}` }]).split(/\r\n([^]*)/);
        expect(line.replace(/^"/, '')).toMatch(/^'/);
      }),
    );
  });

  it('quotes every line end, a lone one too', () => {
    for (const end of ['\r', '\n', '\r\n']) expect(toCsv(['a'], [{ a: `x${end}y` }])).toBe(`a\r\n"x${end}y"\r\n`);
  });
});

/** Without the sign that keeps a spreadsheet from computing, which full-width signs of arithmetic get too. */
const undefused = (cell: string | undefined) => (cell ?? '').replace(/^'(?=[=+\-@\t\r＝＋－＠])/, '');
