import type { VoiceView } from '@jasperwren/contract/voices';
import { fullTest } from '@jasperwren/core/drive/testing';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { startTwoSchools } from '../testing';

const words = 'a few spoken words, long enough to be found in a file';
const voice = { type: 'audio/webm', audio: Buffer.from(words).toString('base64') } as const;
const address = '/api/drives/d/voices/pin-1';

it('what is said with a pin is heard by the school alone, and leaves no trace once it is gone', async () => {
  const { server, first, second } = await startTwoSchools();
  try {
    // The drive is still on its way: the device asks again later.
    expect(await first.send('PUT', address, voice)).toMatchObject({
      status: 404,
      body: { error: { code: 'not-yet' } },
    });
    const learner = { name: 'Ada', transmission: 'manual', standardId: 'tally', notes: '' };
    const { id } = (await first.send<{ id: string }>('POST', '/api/learners', learner)).body;
    const events = fullTest([{ type: 'pin' }]).map((event) =>
      event.type === 'started' ? { ...event, learnerId: id } : event,
    );
    expect((await first.send('POST', '/api/drives/d/events', { events })).status).toBe(200);
    for (const wrong of [
      { ...voice, type: 'text/html' },
      { ...voice, audio: 'no base64!' },
      { ...voice, audio: '' },
    ])
      expect((await first.send('PUT', address, wrong)).status).toBe(422);
    expect((await first.send('PUT', address, voice)).status).toBe(204);
    expect((await first.send('PUT', address, voice)).status).toBe(204);
    const heard = await first.send<readonly VoiceView[]>('GET', '/api/drives/d/voices');
    expect(heard.body).toEqual([{ pin: 'pin-1', ...voice }]);
    expect((await second.send('GET', '/api/drives/d/voices')).status).toBe(404);
    expect((await second.send('DELETE', address)).status).toBe(404);
    // No link and no debrief has it.
    const share = (await first.send<{ path: string }>('POST', '/api/drives/d/shares', { days: 7 })).body;
    const shared = await (await fetch(`${server.address}/api${share.path}`)).text();
    expect(shared).not.toContain(voice.audio);
    expect((await first.send('DELETE', address)).status).toBe(204);
    expect((await first.send('DELETE', address)).status).toBe(204);
    expect((await first.send('GET', '/api/drives/d/voices')).body).toEqual([]);
    await server.settled();
    for (const name of readdirSync(server.dataDir))
      if (name.includes('sqlite'))
        expect(readFileSync(join(server.dataDir, name), 'latin1')).not.toContain(voice.audio.slice(0, 40));
  } finally {
    await server.remove();
  }
});
