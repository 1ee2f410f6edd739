import type { SessionView, SignInView } from '@jasperwren/contract/accounts';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import { password, startTestServer } from '../testing';

const credentials = { email: 'lead@first.example', password };
const folder = () => mkdtempSync(join(tmpdir(), 'jasperwren-proxy-'));

/** Signs in with headers as a proxy would send them, and keeps the cookie. */
async function signIn(address: string, headers: Record<string, string>) {
  const answer = await fetch(`${address}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json', ...headers },
    body: JSON.stringify(credentials),
  });
  const cookie = answer.headers.getSetCookie()[0] ?? '';
  return { status: answer.status, cookie, body: (await answer.json()) as SessionView & { error?: { code: string } } };
}

describe('behind a proxy', () => {
  it('the address is the one that the proxy saw, whatever was written before it', async () => {
    const server = await startTestServer(folder(), { proxies: 1 });
    const forwarded = { 'x-forwarded-for': '6.6.6.6, 9.9.9.9' };
    const { cookie } = await signIn(server.address, forwarded);
    const seen = await fetch(`${server.address}/api/sign-ins`, { headers: { cookie: cookie.split(';')[0]! } });
    expect(((await seen.json()) as readonly SignInView[])[0]?.address).toBe('9.9.9.9');
    await server.remove();
  });

  it('none is believed where none was declared: a forged address walks round no limit', async () => {
    const server = await startTestServer(folder());
    const tries = [];
    for (let i = 0; i < 7; i++) {
      const wrong = { 'x-forwarded-for': `10.0.0.${i}`, 'content-type': 'application/json' };
      const body = JSON.stringify({ ...credentials, password: 'not this one' });
      tries.push((await fetch(`${server.address}/api/session`, { method: 'POST', headers: wrong, body })).status);
    }
    expect(tries).toEqual([401, 401, 401, 401, 401, 429, 429]);
    await server.remove();
  });

  it('cookies belong to this host and to https, and without https the operator is told why nothing works', async () => {
    const lines: string[] = [];
    const log = pino({ level: 'error' }, { write: (line: string) => void lines.push(line) });
    const dataDir = folder();
    const undeclared = await startTestServer(dataDir, { secureCookies: true }, { log });
    for (let i = 0; i < 2; i++)
      expect(await signIn(undeclared.address, { 'x-forwarded-proto': 'https' })).toMatchObject({
        status: 421,
        body: { error: { code: 'https-only' } },
      });
    expect(lines).toHaveLength(1);
    expect(lines[0]).toContain('JASPERWREN_PROXIES');
    await undeclared.stop();

    const declared = await startTestServer(dataDir, { secureCookies: true, proxies: 1 });
    const { status, cookie } = await signIn(declared.address, { 'x-forwarded-proto': 'https' });
    expect(status).toBe(200);
    expect(cookie).toMatch(/^__Host-jasperwren=/);
    expect(cookie.toLowerCase()).toMatch(/(?=.*; secure)(?=.*; httponly)(?=.*; samesite=strict)(?=.*; path=\/(;|$))/);
    expect(cookie.toLowerCase()).not.toContain('domain');
    await declared.stop();
    rmSync(dataDir, { recursive: true, force: true });
  });
});

describe('the log', () => {
  it('holds nothing that opens something', async () => {
    const lines: string[] = [];
    const log = pino({ level: 'info' }, { write: (line: string) => void lines.push(line) });
    const server = await startTestServer(folder(), {}, { log });
    for (const path of [
      '/api/shared/secret-token',
      '/shared/secret-token',
      '/api/password-links/secret-token',
      '/password/secret-token',
    ])
      await fetch(server.address + path);
    await fetch(`${server.address}/api/learners?name=secret-token`);
    expect(lines.length).toBeGreaterThan(4);
    expect(lines.join('')).not.toContain('secret-token');
    await server.remove();
  });
});
