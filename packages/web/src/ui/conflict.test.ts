import { clashesOf, mergedOf, staleOf } from './Conflict';

const labels = { name: 'Name', phone: 'Phone', notes: 'Notes' } as const;

describe('what two people changed', () => {
  it('is told field by field, and what only the other touched is known', () => {
    const begun = { name: 'Ada', phone: '1' };
    const clashes = clashesOf(labels, begun, { name: 'Ada', phone: '2' }, { name: 'Ada', phone: '3', notes: 'new' });
    expect(clashes).toEqual([
      { field: 'phone', label: 'Phone', mine: '2', theirs: '3', untouched: false },
      { field: 'notes', label: 'Notes', mine: '', theirs: 'new', untouched: true },
    ]);
  });

  it('is put together as one chooses, and keeps what nobody asked about', () => {
    const mine = { name: 'Ada', phone: '2', version: 1 };
    const theirs = { name: 'Ada B', phone: '3', notes: 'new', version: 2 };
    expect(mergedOf<keyof typeof labels, object>(labels, mine, theirs, new Set(['phone', 'notes']))).toEqual({
      name: 'Ada',
      phone: '3',
      notes: 'new',
      version: 1,
    });
  });

  it('is a conflict only where the server says so', () => {
    const stale = { status: 409, code: 'stale', message: 'Changed.', current: { version: 2 } };
    expect(staleOf(stale)).toEqual({ version: 2 });
    expect(staleOf({ ...stale, code: 'double-booked' })).toBeUndefined();
    expect(staleOf(undefined)).toBeUndefined();
  });
});
