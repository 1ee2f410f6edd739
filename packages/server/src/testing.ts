import type { AccountView, PasswordLink, Role, SessionView } from '@jasperwren/contract/accounts';
import type { RoadsView } from '@jasperwren/contract/roads';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { pino } from 'pino';
import { callNow } from './call';
import { createSchool } from './accounts/store';
import type { Config } from './config';
import { createDatabase, hasDatabase } from './db/database';
import { serve, type Outfit, type Running } from './serve';
import { quickHash } from './testing-password';

export const silent = pino({ level: 'silent' });
export const password = 'three grey kettles';

/** A server of its own for a test, on a free port and a new folder, with a school `first` and a school `second`. */
export async function startTestServer(
  dataDir = mkdtempSync(join(tmpdir(), 'jasperwren-')),
  more: Partial<Config> = {},
  outfit: Outfit = {},
): Promise<Running & { dataDir: string; remove: () => Promise<void> }> {
  const config: Config = {
    host: '127.0.0.1',
    port: 0,
    dataDir,
    demo: false,
    secureCookies: false,
    proxies: 0,
    backupEveryH: 0,
    backupDir: join(dataDir, 'backups'),
    backupKeep: 3,
    logLevel: 'silent',
    ...more,
  };
  if (!hasDatabase(dataDir)) await createDatabase(dataDir);
  const running = await serve(config, join(dataDir, 'no-pages'), { log: silent, ...outfit });
  const schools = await running.db.selectFrom('schools').select('id').execute();
  if (schools.length === 0) {
    for (const name of ['first', 'second']) {
      await createSchool(callNow(running.db), name, {
        name: `Lead of ${name}`,
        email: `lead@${name}.example`,
        passwordHash: quickHash(password),
      });
    }
  }
  const remove = async () => {
    await running.stop();
    rmSync(dataDir, { recursive: true, force: true });
  };
  return { ...running, dataDir, remove };
}

/** A server of its own with the leads of two schools signed in, who must not see of each other. */
export async function startTwoSchools() {
  const server = await startTestServer();
  const [first, second] = [testClient(server.address), testClient(server.address)];
  await first.signIn('lead@first.example');
  await second.signIn('lead@second.example');
  return { server, first, second };
}

/** Has a lead invite somebody, who chooses the usual password. Returns the account. */
export async function addPerson(
  lead: TestClient,
  email: string,
  role: Role = 'instructor',
  name = email.split('@')[0]!,
): Promise<AccountView> {
  const invited = await lead.send<AccountView & { link: PasswordLink }>('POST', '/api/accounts', { name, email, role });
  const { link, ...account } = invited.body;
  const chosen = await lead.send('POST', `/api/password-links/${link.path.replace('/password/', '')}`, { password });
  if (chosen.status !== 204) throw new Error(`No password was chosen: ${JSON.stringify(chosen.body)}`);
  return account;
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

  /** A request that signs somebody in: keeps the token of the answer. */
  async function takeToken<T extends { readonly csrfToken: string } = SessionView>(
    method: string,
    path: string,
    body: unknown,
  ): Promise<Answer<T>> {
    const answer = await send<T>(method, path, body);
    if (answer.status === 200) csrf = answer.body.csrfToken;
    return answer;
  }

  const signIn = (email: string, withPassword = password) =>
    takeToken('POST', '/api/session', { email, password: withPassword });

  return { send, signIn, takeToken, cookie: () => cookie };
}

/** A value without some of its fields. */
export const without = <T extends object, K extends keyof T>(whole: T, ...keys: readonly K[]) =>
  Object.fromEntries(Object.entries(whole).filter(([key]) => !keys.includes(key as K))) as Omit<T, K>;

/** Sends a file of two roads and waits until it is read. */
export async function addRoads(
  server: { readonly settled: () => Promise<void> },
  client: TestClient,
  { file = 'town.osm', text = twoRoads }: { readonly file?: string; readonly text?: string } = {},
): Promise<RoadsView> {
  const { status, body } = await client.send<RoadsView>('POST', `/api/roads?file=${encodeURIComponent(file)}`, text);
  if (status !== 201) throw new Error(`The roads were not taken: ${JSON.stringify(body)}`);
  await server.settled();
  return body;
}

/** Two roads that cross in the middle of an ocean. */
export const twoRoads = `<osm version="0.6">
${[
  [48, -30],
  [48, -29.999],
  [48, -29.998],
  [48.001, -29.999],
  [47.999, -29.999],
]
  .map(([lat, lon], i) => `<node id="${i + 1}" lat="${lat}" lon="${lon}"/>`)
  .join('\n')}
<way id="1"><nd ref="1"/><nd ref="2"/><nd ref="3"/><tag k="highway" v="residential"/></way>
<way id="2"><nd ref="4"/><nd ref="2"/><nd ref="5"/><tag k="highway" v="residential"/></way>
</osm>`;
