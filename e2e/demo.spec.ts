import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { DriveSummary } from '@jasperwren/contract/drives';
import type { LearnerView } from '@jasperwren/contract/learners';
import type { WelcomeView } from '@jasperwren/contract/accounts';
import { startDemoServer } from './demo-server';
import { expect, test } from './fixtures';
import { makeServer, runCli } from './server';

test('a backup of the demo, made while it runs, comes back whole, and the demo is not loaded twice', async ({
  request,
}) => {
  const demo = await startDemoServer();
  const restored = await makeServer();
  try {
    const copy = join(demo.dataDir, 'copy.sqlite');
    runCli(demo.dataDir, 'backup', copy);
    runCli(restored.dataDir, 'restore', copy);
    expect(runCli(restored.dataDir, 'demo', 'demo')).toContain('nothing was loaded');
    await restored.start();
    const { demo: shown } = JSON.parse(readFileSync('demo/sign-in.json', 'utf8')) as Required<WelcomeView>;
    for (const { email, password } of shown.accounts)
      expect((await request.post(`${restored.address}/api/session`, { data: { email, password } })).ok()).toBe(true);
    const get = async <T>(path: string) => (await (await request.get(`${restored.address}/api${path}`)).json()) as T;
    const learners = await get<readonly LearnerView[]>('/learners');
    expect(learners).toHaveLength(12);
    const onRoad = learners.filter(({ standardId }) => standardId === 'tally');
    expect(onRoad).toHaveLength(8);
    for (const { drives } of onRoad) {
      expect(drives).toBeGreaterThanOrEqual(3);
      expect(drives).toBeLessThanOrEqual(9);
    }
    const ready = learners.find(({ name }) => name === 'Ottilia Fenwarrow')!;
    const drives = await get<readonly DriveSummary[]>(`/learners/${ready.id}/drives`);
    expect(drives.map(({ outcome }) => outcome)).toEqual(Array(9).fill('pass'));
  } finally {
    await demo.remove();
    await restored.remove();
  }
});
