import { afterEndMark, auditExtras } from '@jasperwren/contract/audit';
import { routeNames, routeOf, writes } from '@jasperwren/contract/routes';
import { deedWords, detailOf, doerOf } from './audit-words';

describe('the words of the audit trail', () => {
  it('are there for everything that leaves a line', () => {
    const leaveLines = [...routeNames.filter((name) => writes(routeOf(name)) || routeOf(name).file), ...auditExtras];
    expect(leaveLines.filter((name) => !deedWords[name])).toEqual([]);
    expect(Object.keys(deedWords).sort()).toEqual([...leaveLines].sort());
  });

  it('name whoever did it, and nobody who was erased', () => {
    const line = { id: 1, at: '', action: 'share', byLearner: false };
    expect(doerOf({ ...line, by: { id: 'a', name: 'Ada' } })).toBe('Ada');
    expect(doerOf({ ...line, byLearner: true, learner: { id: 'erased-1' } })).toBe('A learner');
    expect(doerOf(line)).toBe('Someone not signed in');
  });

  it('say what came after the end of a test, and leave other details and older lines as they are', () => {
    expect(detailOf(`${afterEndMark}2 note`)).toBe('after the end: 2 note');
    expect(detailOf('after the end: 2 note')).toBe('after the end: 2 note');
    expect(detailOf('transmission')).toBe('transmission');
  });
});
