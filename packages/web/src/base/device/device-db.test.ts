import 'fake-indexeddb/auto';
import { timedYard } from '@jasperwren/core/marking/templates/timed-yard';
import { effective } from '@jasperwren/core/marking/options';
import { Dexie } from 'dexie';
import { deviceDb, type DriveMeta } from './device-db';

it('applies the options of standards that an earlier release kept without', async () => {
  const options = timedYard.options.map((one) =>
    one.code === 'engine-stops' ? { ...one, chosen: 'more-than-three' } : one,
  );
  const standard = { ...timedYard, options };
  expect(effective(standard)).not.toEqual(standard);
  const earlier = new Dexie('jasperwren');
  earlier
    .version(2)
    .stores({ drives: 'id', events: 'id, driveId', reviews: 'id, lane', outbox: '++n, &id, owner, [owner+lane]' });
  await earlier.table('drives').add({ id: 'drive-1', learnerName: 'Neva', standard });
  earlier.close();
  await deviceDb.open();
  const kept = (await deviceDb.drives.get('drive-1')) as DriveMeta;
  expect([kept.learnerName, kept.standard]).toEqual(['Neva', effective(standard)]);
});
