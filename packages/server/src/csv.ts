import { stringify } from 'csv-stringify/sync';

/** A table as RFC 4180 text with a head line; a cell that a spreadsheet would take for a formula is defused. */
export function toCsv(columns: readonly string[], rows: readonly object[]): string {
  return stringify([...rows], {
    header: true,
    columns: [...columns],
    record_delimiter: 'windows',
    escape_formulas: true,
    // By itself only the kind of line end that parts the records is quoted.
    quoted_match: /[\r\n]/,
  });
}
