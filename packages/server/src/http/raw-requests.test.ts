import { connect } from 'node:net';
import { feedPath } from '@jasperwren/contract/yard-feed';
import { logOf } from '../log';
import { startTestServer, testClient } from '../testing';
import { rawRequests, sendRaw } from './testing-raw-requests';

let server: Awaited<ReturnType<typeof startTestServer>>;

beforeAll(async () => {
  server = await startTestServer();
});
afterAll(() => server.remove());

const healthy = async () => (await fetch(`${server.address}/healthz`)).status === 200;

/** Sends lines and returns the status line of the answer. */
function ask(address: string, ...lines: readonly string[]): Promise<string> {
  const { port, hostname } = new URL(address);
  return new Promise((resolve, reject) => {
    const socket = connect(Number(port), hostname, () => socket.write(`${lines.join('\r\n')}\r\n\r\n`));
    let answer = '';
    socket.on('data', (chunk: Buffer) => (answer += chunk.toString('latin1')));
    socket.on('close', () => resolve(answer.split('\r\n')[0]!));
    socket.on('error', reject);
  });
}

const upgrade = ['Host: host', 'Connection: Upgrade', 'Upgrade: websocket', 'Sec-WebSocket-Version: 13'];
const key = 'Sec-WebSocket-Key: dGhlIHNhbXBsZSBub25jZQ==';

describe('a connection of whoever', () => {
  it.each([
    ['an address that names no path', '//', [], '400 Bad Request'],
    ['another host in it', '//elsewhere/api/yard/feed', [], '400 Bad Request'],
    ['a whole address of elsewhere', 'http://elsewhere/api/yard/feed', [], '400 Bad Request'],
    ['a socket that is not there', '/api/yard', [], '404 Not Found'],
    ['a code that nobody has', feedPath, ['Authorization: Bearer made-up'], '401 Unauthorized'],
    [
      'a cookie that no browser wrote',
      feedPath,
      ['Cookie: jasperwren=%E0%A4%A', 'Origin: http://host'],
      '401 Unauthorized',
    ],
  ])('is refused, and nothing else happens: %s', async (_, path, more, status) => {
    expect(await ask(server.address, `GET ${path} HTTP/1.1`, ...upgrade, key, ...more)).toBe(`HTTP/1.1 ${status}`);
    expect(await healthy()).toBe(true);
  });

  it.each(['?', '*', 'http://[', 'host:80'])('is told where its address is none: %s', async (address) => {
    expect(await ask(server.address, `GET ${address} HTTP/1.1`, 'Host: host')).toBe('HTTP/1.1 400 Bad Request');
  });

  it('leaves nothing of what it sent in the log', async () => {
    const lines: string[] = [];
    const own = await startTestServer(undefined, {}, { log: logOf('trace', (line) => void lines.push(line)) });
    const secret = 'Cookie: jasperwren=a-secret';
    await ask(own.address, 'GET /healthz HTTP/1.1', 'Host: host', secret, 'Connection: close', '', 'no request');
    await own.remove();
    expect(lines.join('')).toContain('"path":"/healthz"');
    expect(lines.join('')).not.toContain('a-secret');
  });

  it('may be reset while it is looked at who it is', async () => {
    const { port, hostname } = new URL(server.address);
    for (let i = 0; i < 40; i++) {
      await new Promise<void>((resolve) => {
        const socket = connect(Number(port), hostname, () => {
          const lines = [`GET ${feedPath} HTTP/1.1`, ...upgrade, key, 'Authorization: Bearer made-up', '', ''];
          socket.write(lines.join('\r\n'), () => {
            socket.resetAndDestroy();
            resolve();
          });
        });
        socket.on('error', () => undefined);
      });
    }
    expect(await healthy()).toBe(true);
  });

  it('may send what no program sends: a thousand such requests, and the server lives', async () => {
    const answers = await sendRaw(server.address, rawRequests(20_261_201), 1000);
    expect([...answers.values()].reduce((sum, n) => sum + n, 0)).toBe(1000);
    // A mistake of ours is none of theirs: nothing of it is answered with one.
    expect(answers.get(500)).toBeUndefined();
    expect(answers.get(503)).toBeUndefined();
    expect(1000 - (answers.get(0) ?? 0)).toBeGreaterThan(100);
    expect(await healthy()).toBe(true);
    await testClient(server.address).signIn('lead@first.example');
  });
});
