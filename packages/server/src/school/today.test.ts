import type { SchoolView } from '@jasperwren/contract/school';
import { startTwoSchools } from '../testing';
import { todayOf } from './store';

it('a school has the day of its own time zone, whatever the server thinks', async () => {
  const { server, first } = await startTwoSchools();
  const { body: school } = await first.send<SchoolView>('GET', '/api/school');
  const now = new Date('2026-03-01T23:30:00Z');
  expect(await todayOf({ db: server.db, who: { schoolId: school.id }, now })).toBe('2026-03-01');
  const input = { name: school.name, requireFactor: false, version: 0 };
  // "Etc/GMT-2" lies two hours east of Greenwich: the sign is that of POSIX.
  expect((await first.send('PUT', '/api/school', { ...input, timeZone: 'Etc/GMT-2' })).status).toBe(200);
  expect(await todayOf({ db: server.db, who: { schoolId: school.id }, now })).toBe('2026-03-02');
  expect((await first.send('PUT', '/api/school', { ...input, timeZone: 'Nowhere/Land', version: 1 })).status).toBe(422);
  await server.remove();
});
