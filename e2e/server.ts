import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { existsSync, mkdtempSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';

export const password = 'three grey kettles';

/** In memory where the system has such a folder: many servers that wait for one disk would slow each other down. */
export const scratch = existsSync('/dev/shm') ? '/dev/shm' : tmpdir();

/** The built server as a process of its own, which a test may stop and start. */
export interface TestServer {
  readonly address: string;
  readonly dataDir: string;
  readonly start: () => Promise<void>;
  /** Ends the process at once, as a power cut would. */
  readonly kill: () => Promise<void>;
  readonly remove: () => Promise<void>;
}

/** A server on a free port with an empty database. */
export async function makeServer(env: Record<string, string> = {}): Promise<TestServer> {
  const port = await freePort();
  const dataDir = mkdtempSync(join(scratch, 'jasperwren-e2e-'));
  let running: ChildProcess | undefined;

  async function start(): Promise<void> {
    // A server does not begin a database: the first school does.
    if (!existsSync(join(dataDir, 'jasperwren.sqlite')))
      runCli(dataDir, 'school', 'Nobody’s School', '--lead', 'Nobody', '--email', 'nobody@nowhere.example');
    const child = spawn(process.execPath, ['packages/server/dist/main.js'], {
      env: { ...process.env, JASPERWREN_PORT: String(port), JASPERWREN_DATA: dataDir, JASPERWREN_LOG: 'error', ...env },
      stdio: ['ignore', 'pipe', 'inherit'],
    });
    running = child;
    await new Promise<void>((resolve, reject) => {
      child.stdout.on('data', (chunk: Buffer) => {
        if (chunk.toString().includes('Jasperwren is at')) resolve();
      });
      child.once('exit', () => reject(new Error('The server ended before it listened.')));
    });
  }

  async function kill(): Promise<void> {
    const child = running;
    running = undefined;
    if (!child || child.exitCode !== null) return;
    const gone = new Promise((resolve) => child.once('exit', resolve));
    child.kill('SIGKILL');
    await gone;
  }

  return {
    address: `http://127.0.0.1:${port}`,
    dataDir,
    start,
    kill,
    remove: async () => {
      await kill();
      rmSync(dataDir, { recursive: true, force: true });
    },
  };
}

/** Runs the command line on the data of a server. */
export function runCli(dataDir: string, ...args: string[]): string {
  const { status, stdout, stderr } = spawnSync(process.execPath, ['packages/cli/bin/jasperwren.mjs', ...args], {
    env: { ...process.env, JASPERWREN_DATA: dataDir, JASPERWREN_PASSWORD: password },
    encoding: 'utf8',
  });
  if (status !== 0) throw new Error(`jasperwren ${args.join(' ')} ended with ${status}: ${stderr}`);
  return stdout;
}

function freePort(): Promise<number> {
  return new Promise((resolve, reject) => {
    const probe = createServer();
    probe.once('error', reject);
    probe.listen(0, '127.0.0.1', () => {
      const address = probe.address();
      probe.close(() => resolve(typeof address === 'object' && address ? address.port : 0));
    });
  });
}
