import { tally } from '@jasperwren/core/marking/testing-standards';
import { anyLog } from '@jasperwren/core/drive/testing-arbitraries';
import { parseDriveRecords } from '@jasperwren/core/formats/drive-record';
import { eventTypes } from '@jasperwren/core/drive/event';
import fc from 'fast-check';
import { parseInput } from './parse-input';
import { EventBatch } from './drives';
import { LearnerInput } from './learners';

describe('a batch of events', () => {
  it('takes every log that the drive record takes, unchanged', () => {
    fc.assert(
      fc.property(anyLog, (log) => {
        const checked = parseInput(EventBatch, { events: log });
        expect(checked.ok && JSON.parse(JSON.stringify(checked.value.events))).toEqual(log);
      }),
      { numRuns: 50 },
    );
  });

  it('refuses what the drive record refuses, for any field of any event spoilt', () => {
    const spoilt = fc.record({
      log: anyLog,
      at: fc.nat(),
      field: fc.constantFrom(
        'id',
        'device',
        'seq',
        'atMs',
        'wall',
        'by',
        'type',
        'target',
        'state',
        'section',
        'exercise',
        'retest',
        'reason',
        'detail',
        'text',
        'private',
        'other',
        'item',
        'grade',
        'pin',
        'note',
        'measured',
        'check',
        'result',
        'answers',
        'proposed',
        'step',
        'ending',
        'cause',
        'workOn',
        'familiarity',
        'right',
        'question',
        'undo',
        'briefing',
        'colour',
      ),
      value: fc.constantFrom<unknown>(
        null,
        -1,
        1.5,
        '',
        'strange',
        {},
        [],
        [1],
        true,
        'x'.repeat(201),
        'x'.repeat(2001),
      ),
    });
    fc.assert(
      fc.property(spoilt, ({ log, at, field, value }) => {
        const events = log.map((event, i) => (i === at % log.length ? { ...event, [field]: value } : event));
        // A changed start makes the record unusable as a whole, which a batch cannot know.
        fc.pre(events.filter((event) => event.type === 'started').length === 1);
        // So do two events of one id that differ: that is for the server to compare with what it has.
        fc.pre(new Set(events.map(({ id }) => id)).size === events.length);
        const record = {
          format: 'jasperwren-drive',
          formatVersion: 1,
          driveId: 'd',
          standard: { id: 'tally', version: tally.version },
          events,
        };
        expect(parseInput(EventBatch, { events }).ok).toBe(parseDriveRecords(JSON.stringify(record)).ok);
      }),
      { numRuns: 2000 },
    );
  });

  it('names the event and the field', () => {
    const stamp = { id: 'a', device: 'd', seq: 0, atMs: 0, wall: '2026-05-04T09:00:00.000Z', by: 'me' };
    const checked = parseInput(EventBatch, {
      events: [
        { ...stamp, type: 'pause', state: 'stopped' },
        { ...stamp, type: 'dance' },
      ],
    });
    expect(checked.ok ? [] : checked.problems.map((p) => p.field)).toEqual(
      expect.arrayContaining(['events.0.state', 'events.1.type']),
    );
    expect(parseInput(EventBatch, { events: [] }).ok).toBe(false);
    expect(eventTypes).toContain('pause');
  });
});

describe('a learner', () => {
  const ada = { name: ' Ada ', transmission: 'manual', standardId: 'tally' };

  it('is trimmed, and blank fields count as absent', () => {
    const checked = parseInput(LearnerInput, { ...ada, email: ' ', testDate: '' });
    expect(checked).toMatchObject({ ok: true, value: { name: 'Ada', email: undefined, testDate: undefined } });
  });

  it.each([
    ['name', { ...ada, name: '  ' }],
    ['email', { ...ada, email: 'ada at home' }],
    ['phone', { ...ada, phone: 'call me' }],
    ['testDate', { ...ada, testDate: '2026-02-30' }],
    ['testDate', { ...ada, testDate: '2026-02-03T10:00:00Z' }],
    ['transmission', { ...ada, transmission: 'pedals' }],
    ['standardId', { name: 'Ada', transmission: 'manual' }],
    ['schoolId', { ...ada, schoolId: 'another' }],
  ])('has its %s checked', (field, input) => {
    const checked = parseInput(LearnerInput, input);
    expect(checked.ok ? [] : checked.problems.map((p) => p.field)).toEqual([field]);
  });
});
