// npm run fuzz [REQUESTS] [SEED]: raw requests as no program sends them against the built server as a process of its own: lines, headers,
// upgrades, bodies that break off, resets. It must live through all of them, stay healthy, and answer none with a mistake of its own.
import { spawn, spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { rawRequests, sendRaw } from '../packages/server/src/http/testing-raw-requests';

const requests = Number(process.argv[2] ?? 20_000);
const seed = Number(process.argv[3] ?? 1);
const inARound = 1000;
const folder = mkdtempSync(join(tmpdir(), 'jasperwren-fuzz-'));
const env = {
  ...process.env,
  JASPERWREN_DATA: folder,
  JASPERWREN_PASSWORD: 'three grey kettles',
  JASPERWREN_PORT: '0',
  JASPERWREN_LOG: 'error',
};

const school = ['packages/cli/bin/jasperwren.mjs', 'school', 'Fuzz', '--lead', 'Lead', '--email', 'lead@fuzz.example'];
const made = spawnSync(process.execPath, school, { env, encoding: 'utf8' });
if (made.status !== 0) throw new Error(made.stderr);
const server = spawn(process.execPath, ['packages/server/dist/main.js'], { env, stdio: ['ignore', 'pipe', 'inherit'] });
let logged = '';
const address = await new Promise<string>((resolve, reject) => {
  server.once('exit', () => reject(new Error(logged)));
  server.stdout.on('data', (chunk: Buffer) => {
    logged += chunk.toString();
    const found = /Jasperwren is at (\S+)/.exec(logged)?.[1];
    if (found) resolve(found);
  });
});

const troubles: string[] = [];
const statuses = new Map<number, number>();
try {
  const next = rawRequests(seed);
  for (let sent = 0; sent < requests && server.exitCode === null; sent += inARound) {
    for (const [status, n] of await sendRaw(address, next, Math.min(inARound, requests - sent)))
      statuses.set(status, (statuses.get(status) ?? 0) + n);
    const health = await fetch(`${address}/healthz`).then(
      ({ status }) => String(status),
      (error: unknown) => String(error),
    );
    if (health !== '200') troubles.push(`after ${sent + inARound} requests: health ${health}`);
  }
} finally {
  if (server.exitCode !== null) troubles.push(`the process ended with ${server.exitCode}`);
  else {
    server.removeAllListeners('exit');
    const gone = new Promise((resolve) => server.once('exit', resolve));
    server.kill('SIGTERM');
    await gone;
  }
  rmSync(folder, { recursive: true, force: true });
}
const uncaught = logged.split('\n').filter((line) => line.includes('nobody caught') || line.includes('request failed'));
troubles.push(...uncaught.slice(0, 5));
const mistakes = (statuses.get(500) ?? 0) + (statuses.get(503) ?? 0);
if (mistakes > 0) troubles.push(`${mistakes} answers with a mistake of the server`);
const answered = [...statuses].filter(([status]) => status > 0).sort(([a], [b]) => a - b);
console.log(`${requests} raw requests (seed ${seed}): ${answered.map(([status, n]) => `${status}: ${n}`).join(', ')}`);
console.log(`without an answer (reset, half, refused by the connection): ${statuses.get(0) ?? 0}`);
for (const one of troubles) console.log(`TROUBLE ${one}`);
console.log(troubles.length === 0 ? 'the process lives, and is healthy' : `${troubles.length} troubles`);
process.exitCode = troubles.length === 0 ? 0 : 1;
