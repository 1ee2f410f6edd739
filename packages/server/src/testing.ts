import type { SessionView } from '@jasperwren/contract/accounts';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import { createSchool } from './accounts/store';
import { serve, type Running } from './serve';

export const silent = pino({ level: 'silent' });
export const password = 'three grey kettles';

/** A server of its own for a test, on a free port and a new folder, with a school `first` and a school `second`. */
export async function startTestServer(
  dataDir = mkdtempSync(join(tmpdir(), 'jasperwren-')),
): Promise<Running & { dataDir: string; remove: () => Promise<void> }> {
  const config = {
    host: '127.0.0.1',
    port: 0,
    dataDir,
    demo: false,
    secureCookies: false,
    behindProxy: false,
    logLevel: 'silent',
  };
  const running = await serve(config, join(dataDir, 'no-pages'), {}, silent);
  const schools = await running.db.selectFrom('schools').select('id').execute();
  if (schools.length === 0) {
    for (const name of ['first', 'second']) {
      await createSchool(running.db, name, { name: `Lead of ${name}`, email: `lead@${name}.example`, password });
    }
  }
  const remove = async () => {
    await running.stop();
    rmSync(dataDir, { recursive: true, force: true });
  };
  return { ...running, dataDir, remove };
}

export interface Answer<T = unknown> {
  readonly status: number;
  readonly body: T;
  readonly headers: Headers;
}

export type TestClient = ReturnType<typeof testClient>;

/** Talks to a server as a browser would: keeps the cookie, sends the token back. */
export function testClient(address: string) {
  let cookie = '';
  let csrf = '';

  async function send<T = unknown>(
    method: string,
    path: string,
    body?: unknown,
    headers: Record<string, string> = {},
  ): Promise<Answer<T>> {
    const response = await fetch(address + path, {
      method,
      headers: { 'content-type': 'application/json', cookie, 'x-csrf-token': csrf, ...headers },
      ...(body !== undefined && { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    });
    const set = response.headers.getSetCookie().find((candidate) => candidate.startsWith('jasperwren='));
    if (set) cookie = set.split(';')[0]!;
    const text = await response.text();
    return { status: response.status, body: (text ? JSON.parse(text) : undefined) as T, headers: response.headers };
  }

  async function signIn(email: string, withPassword = password): Promise<Answer<SessionView>> {
    const answer = await send<SessionView>('POST', '/api/session', { email, password: withPassword });
    if (answer.status === 200) csrf = answer.body.csrfToken;
    return answer;
  }

  return { send, signIn };
}
