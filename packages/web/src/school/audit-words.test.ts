import { auditExtras } from '@jasperwren/contract/audit';
import { routeNames, routeOf, writes } from '@jasperwren/contract/routes';
import { deedWords, doerOf } from './audit-words';

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
});
