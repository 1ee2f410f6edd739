import { parseInput } from './parse-input';
import { EventBatch } from './drives';
import { SheetInput } from './sheets';
import { DraftInput, ImportInput, NewStandard } from './standards';

const fields = (result: ReturnType<typeof parseInput>) => (result.ok ? [] : result.problems.map(({ field }) => field));

describe('requests about standards', () => {
  it('begin with a name that can be one', () => {
    const input = { fromId: 'tally', fromVersion: 2, name: '  Ours  ' };
    const checked = parseInput(NewStandard, input);
    expect(checked.ok && checked.value.name).toBe('Ours');
    expect(fields(parseInput(NewStandard, { ...input, name: ' – ' }))).toEqual(['name']);
    expect(fields(parseInput(NewStandard, { ...input, name: '' }))).toEqual(['name']);
    expect(fields(parseInput(NewStandard, { ...input, fromVersion: 0 }))).toEqual(['fromVersion']);
    expect(fields(parseInput(NewStandard, { ...input, version: 3 }))).toEqual(['version']);
  });

  it('carry a draft as an object and a file as a text', () => {
    expect(parseInput(DraftInput, { standard: { id: 'x' }, savedAt: '2026-05-04T09:00:00Z' }).ok).toBe(true);
    expect(fields(parseInput(DraftInput, { standard: 'x' }))).toEqual(['standard']);
    expect(fields(parseInput(ImportInput, { source: '' }))).toEqual(['source']);
    expect(parseInput(ImportInput, { source: '{}' }).ok).toBe(true);
  });
});

describe('a result sheet', () => {
  const sheet = {
    standardId: 'tally',
    standardVersion: 3,
    date: '2026-05-04',
    centre: ' ',
    official: 'fail',
    entries: [{ item: 'signs.lights', grade: 'serious', count: 1 }],
  };

  it('is taken as it is, a blank centre as none', () => {
    const checked = parseInput(SheetInput, sheet);
    expect(checked.ok && checked.value.centre).toBeUndefined();
    expect(checked.ok && checked.value.entries[0]?.count).toBe(1);
  });

  it.each([
    ['date', { date: '2026-02-30' }],
    ['date', { date: '4 May 2026' }],
    ['official', { official: 'perhaps' }],
    ['entries.0.count', { entries: [{ item: 'a', grade: 'b', count: 0 }] }],
    ['entries.0.count', { entries: [{ item: 'a', grade: 'b', count: 100 }] }],
    ['entries.0.item', { entries: [{ item: '', grade: 'b', count: 1 }] }],
    ['entries.0.colour', { entries: [{ item: 'a', grade: 'b', count: 1, colour: 'red' }] }],
  ])('is refused for its %s', (field, changes) => {
    expect(fields(parseInput(SheetInput, { ...sheet, ...changes }))).toEqual([field]);
  });
});

describe('events of advice, steps and measured values', () => {
  const stamp = { id: 'e', device: 'd', seq: 0, atMs: 0, wall: '2026-05-04T09:00:00Z', by: 'a' };
  const batch = (event: object) => fields(parseInput(EventBatch, { events: [{ ...stamp, ...event }] }));

  it('are taken', () => {
    expect(batch({ type: 'advice', target: 'm', answers: { near: 'close' }, proposed: 'none' })).toEqual([]);
    expect(batch({ type: 'step', step: 'look' })).toEqual([]);
    expect(batch({ type: 'mark', item: 'i', grade: 'g', measured: 15.5 })).toEqual([]);
    expect(batch({ type: 'regrade', target: 'm', grade: 'g', measured: 30 })).toEqual([]);
    expect(batch({ type: 'section', section: 'exercise', exercise: 'slope', retest: true })).toEqual([]);
  });

  it('are refused where they are not what they say', () => {
    expect(batch({ type: 'advice', target: 'm', answers: ['close'], proposed: 'none' })).toEqual(['events.0.answers']);
    expect(batch({ type: 'advice', target: 'm', answers: { near: 7 }, proposed: 'none' })).toEqual([
      'events.0.answers.near',
    ]);
    expect(batch({ type: 'step', step: 'jump' })).toEqual(['events.0.step']);
    expect(batch({ type: 'mark', item: 'i', grade: 'g', measured: '15' })).toEqual(['events.0.measured']);
    expect(batch({ type: 'hum' })).toContain('events.0.type');
  });
});
