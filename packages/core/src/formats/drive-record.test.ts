import { tally } from '../marking/testing-standards';
import fc from 'fast-check';
import { readFileSync } from 'node:fs';
import { fullTest } from '../drive/testing';
import { anyLog } from '../drive/testing-arbitraries';
import { driveRecordSchema } from './drive-record-schema';
import { parseDriveRecords, type DriveRecord } from './drive-record';

const record = (events: DriveRecord['events']): DriveRecord => ({
  format: 'jasperwren-drive',
  formatVersion: 1,
  driveId: 'drive',
  standard: { id: 'tally', version: tally.version },
  events,
});
const problems = (value: unknown) => {
  const parsed = parseDriveRecords(typeof value === 'string' ? value : JSON.stringify(value));
  return parsed.ok ? [] : parsed.problems;
};

describe('the drive record', () => {
  it('reads back what was written, for any log', () => {
    fc.assert(
      fc.property(anyLog, (log) => {
        const written = record(log);
        expect(parseDriveRecords(JSON.stringify(written))).toEqual({ ok: true, value: [written] });
      }),
    );
  });

  it('reads a list of records', () => {
    const parsed = parseDriveRecords(JSON.stringify([record(fullTest([])), record(fullTest([]))]));
    expect(parsed.ok && parsed.value.length).toBe(2);
  });

  it('names place and cause of each problem', () => {
    const events = fullTest([{ type: 'pin' }]) as unknown as Record<string, unknown>[];
    expect(problems('{"format":')).toMatchObject([{ cause: expect.stringMatching(/^not JSON: /) }]);
    expect(problems([])).toEqual([{ path: '', cause: 'the list holds no drive' }]);
    expect(problems({ ...record([]), events: events.map((e, i) => (i === 1 ? { ...e, atMs: -5 } : e)) })).toEqual([
      { path: '/events/1/atMs', cause: 'must be >= 0' },
    ]);
    expect(problems([record(fullTest([])), { ...record(fullTest([])), colour: 'red' }])).toEqual([
      { path: '/1', cause: 'must NOT have additional properties: "colour"' },
    ]);
    expect(problems(record([]))).toEqual([{ path: '/events', cause: 'must hold one "started" event, holds 0' }]);
    expect(problems({ ...record([]), events: [{ ...events[0], wall: '2026-02-30T10:00:00Z' }] })[0]).toEqual({
      path: '/events/0/wall',
      cause: 'must match format "date-time"',
    });
    expect(problems({ ...record([]), format: 'gpx' })[0]).toMatchObject({
      cause: expect.stringContaining('"jasperwren-drive"'),
    });
  });

  it('is published as the schema it is checked by', () => {
    const file = new URL('../../../../docs/formats/drive-record.schema.json', `file://${__filename}`);
    expect(JSON.parse(readFileSync(file, 'utf8'))).toEqual(JSON.parse(JSON.stringify(driveRecordSchema)));
  });
});
