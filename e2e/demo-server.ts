import { cpSync, existsSync, mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { makeServer, runCli, scratch, type TestServer } from './server';

/** The data of the demo, loaded once for all processes of a run. */
const folder = (run: number) => join(scratch, `jasperwren-demo-${run}`);

/** A server with the data of the demo; it is the test's own. */
export async function startDemoServer(): Promise<TestServer> {
  const server = await makeServer({ JASPERWREN_DEMO: '1' });
  cpSync(await demoData(), server.dataDir, { recursive: true });
  await server.start();
  return server;
}

async function demoData(): Promise<string> {
  const own = folder(process.ppid);
  const data = join(own, 'data');
  const ready = join(own, 'ready');
  if (isFirst(own))
    try {
      runCli(data, 'demo', 'demo');
      writeFileSync(ready, '');
    } catch (error) {
      rmSync(own, { recursive: true });
      throw error;
    }
  while (!existsSync(ready)) {
    if (!existsSync(own)) throw new Error('The demo could not be loaded.');
    await new Promise((resolve) => setTimeout(resolve, 200));
  }
  return data;
}

/** Whether nobody has made the folder before; it is there afterwards. */
function isFirst(path: string): boolean {
  try {
    mkdirSync(path);
    return true;
  } catch {
    return false;
  }
}

/** After the run. */
export default function removeDemoData(): void {
  rmSync(folder(process.pid), { recursive: true, force: true });
}
