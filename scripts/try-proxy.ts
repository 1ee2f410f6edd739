// npm run try-proxy: runs the example for nginx of docs/operating.md, as it stands there, before the built server: https with a certificate
// of its own, sign-in, a large file of roads, a program called one, a body that is too long, and a socket of the yard. Needs nginx and openssl.
import { spawn, spawnSync, type ChildProcess } from 'node:child_process';
import { once } from 'node:events';
import { mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { request } from 'node:https';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { WebSocket } from 'ws';

const folder = mkdtempSync(join(tmpdir(), 'jasperwren-proxy-'));
const troubles: string[] = [];
const check = (what: string, good: boolean) => {
  console.log(`${good ? 'good ' : 'WRONG'} ${what}`);
  if (!good) troubles.push(what);
};

function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const { port } = server.address() as { port: number };
      server.close(() => resolve(port));
    });
  });
}

const [backPort, securePort, plainPort] = [await freePort(), await freePort(), await freePort()];

/** The example, with nothing of it changed but ports, the place of the certificate, and who may run it. */
function exampleOf(text: string): string {
  const lines = text.split('\n');
  const from = lines.findIndex((line) => line.startsWith('    map $http_upgrade'));
  const to = lines.findIndex((line, i) => i > from && line.trim() !== '' && !line.startsWith('    '));
  return lines
    .slice(from, to)
    .join('\n')
    .replaceAll('/etc/ssl/school.example', folder)
    .replaceAll('127.0.0.1:4180', `127.0.0.1:${backPort}`)
    .replace('listen 443', `listen 127.0.0.1:${securePort}`)
    .replace('listen 80;', `listen 127.0.0.1:${plainPort};`);
}

interface Told {
  readonly status: number;
  readonly headers: Readonly<Record<string, string | readonly string[] | undefined>>;
  readonly text: string;
}

function ask(method: string, path: string, headers: Record<string, string>, body?: Buffer | string): Promise<Told> {
  return new Promise((resolve, reject) => {
    const options = {
      port: securePort,
      host: '127.0.0.1',
      path,
      method,
      headers: { host: 'school.example', ...headers },
    };
    const asked = request({ ...options, rejectUnauthorized: false, agent: false }, (answer) => {
      let text = '';
      answer.on('data', (chunk: Buffer) => (text += chunk.toString()));
      answer.on('end', () => resolve({ status: answer.statusCode ?? 0, headers: answer.headers, text }));
    });
    asked.on('error', reject);
    // Whoever waits to be asked for the body gets a refusal before it is sent (RFC 9110, 10.1.1).
    if (headers['expect']) asked.on('continue', () => asked.end(body));
    else asked.end(body);
  });
}

const env = {
  ...process.env,
  JASPERWREN_DATA: join(folder, 'data'),
  JASPERWREN_PASSWORD: 'three grey kettles',
  JASPERWREN_PORT: String(backPort),
  JASPERWREN_SECURE_COOKIES: '1',
  JASPERWREN_PROXIES: '1',
  JASPERWREN_LOG: 'error',
};

const children: ChildProcess[] = [];
try {
  const email = 'lead@proxy.example';
  const school = ['packages/cli/bin/jasperwren.mjs', 'school', 'Proxy', '--lead', 'Lead', '--email', email];
  spawnSync(process.execPath, school, { env, stdio: 'inherit' });
  const names = [
    '-keyout',
    join(folder, 'key.pem'),
    '-out',
    join(folder, 'fullchain.pem'),
    '-subj',
    '/CN=school.example',
  ];
  spawnSync('openssl', ['req', '-x509', '-newkey', 'rsa:2048', '-nodes', '-days', '2', ...names]);
  mkdirSync(join(folder, 'temp'));
  const temp = ['client_body', 'proxy', 'fastcgi', 'uwsgi', 'scgi'];
  writeFileSync(
    join(folder, 'nginx.conf'),
    `pid ${folder}/nginx.pid;\nerror_log ${folder}/error.log;\ndaemon off;\nevents {}\nhttp {\n${temp
      .map((name) => `${name}_temp_path ${folder}/temp/${name};`)
      .join('\n')}\n${exampleOf(readFileSync('docs/operating.md', 'utf8'))}\n}\n`,
  );
  const back = spawn(process.execPath, ['packages/server/dist/main.js'], { env, stdio: ['ignore', 'pipe', 'inherit'] });
  children.push(back);
  await once(back.stdout, 'data');
  const proxy = spawn('nginx', ['-c', join(folder, 'nginx.conf')], { stdio: 'inherit' });
  children.push(proxy);
  proxy.on('error', () => troubles.push('nginx could not be started'));
  for (let i = 0; i < 100 && troubles.length === 0; i++) {
    const up = await ask('GET', '/healthz', {}).then(
      ({ status }) => status === 200,
      () => false,
    );
    if (up) break;
    await new Promise((resolve) => setTimeout(resolve, 50));
  }

  const origin = 'https://school.example';
  const json = { 'content-type': 'application/json', origin };
  const signIn = await ask('POST', '/api/session', json, JSON.stringify({ email, password: 'three grey kettles' }));
  check('somebody signs in over https', signIn.status === 200);
  const cookie = [signIn.headers['set-cookie'] ?? []].flat()[0]?.split(';')[0] ?? '';
  check('with a cookie that belongs to this host', cookie.startsWith('__Host-'));
  const signed = { cookie, origin, 'x-csrf-token': (JSON.parse(signIn.text) as { csrfToken: string }).csrfToken };
  const roads = readFileSync('demo/tarnavel.osm');
  const large = await ask('POST', '/api/roads?file=large.osm', signed, Buffer.concat([roads, Buffer.alloc(30e6, ' ')]));
  check(`a file of roads of ${Math.round((roads.length + 30e6) / 1e6)} MB is taken`, large.status === 201);
  const program = await ask('POST', '/api/roads?file=program.osm', signed, Buffer.alloc(8e6, 'MZ'));
  check(
    'a program called one is refused by its first bytes',
    program.status === 422 && program.text.includes('no-roads-file'),
  );
  const long = await ask(
    'POST',
    '/api/learners',
    { ...signed, ...json, expect: '100-continue', 'content-length': '2000000' },
    'x'.repeat(2e6),
  );
  check('any other body over 1 MB is refused', long.status === 413);
  const address = `wss://127.0.0.1:${securePort}/api/yard/watch?run=none`;
  const watch = new WebSocket(address, { rejectUnauthorized: false, headers: { ...signed, host: 'school.example' } });
  const [code] = (await Promise.race([once(watch, 'close'), once(watch, 'error').then(() => [0])])) as [number];
  check('a socket of the yard is opened, and told that there is no such run', code === 1008);
  const stranger = new WebSocket(address, { rejectUnauthorized: false, headers: { host: 'school.example' } });
  const [refused] = (await Promise.race([
    once(stranger, 'unexpected-response').then(([, one]: unknown[]) => [one]),
    once(stranger, 'error'),
  ])) as [{ statusCode?: number }];
  check('and to nobody who is not signed in', refused.statusCode === 401);
  if (troubles.length > 0) console.log(readFileSync(join(folder, 'error.log'), 'utf8'));
} finally {
  for (const one of children.reverse()) {
    const gone = once(one, 'exit');
    if (one.kill('SIGTERM')) await gone;
  }
  rmSync(folder, { recursive: true, force: true });
}
process.exitCode = troubles.length === 0 ? 0 : 1;
