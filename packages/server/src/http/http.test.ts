import { mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Koa from 'koa';
import { hashPassword, verifyPassword } from '../accounts/password';
import { readConfig } from '../config';
import { silent } from '../testing';
import { shapeErrors } from './errors';
import { pages } from './pages';

async function answerOf(app: Koa, path: string, method = 'GET') {
  const server = app.listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const { port } = server.address() as { port: number };
  const response = await fetch(`http://127.0.0.1:${port}${path}`, { method });
  const text = await response.text();
  await new Promise((resolve) => server.close(resolve));
  return { status: response.status, text, headers: response.headers };
}

describe('the configuration', () => {
  it('has defaults that expose nothing', () => {
    expect(readConfig({})).toEqual({
      host: '127.0.0.1',
      port: 4180,
      dataDir: 'data',
      demo: false,
      secureCookies: false,
      proxies: 0,
      backupEveryH: 0,
      backupDir: 'data/backups',
      backupKeep: 14,
      logLevel: 'info',
    });
  });

  it('says what an older setting is called now, and wants a key of some length', () => {
    expect(() => readConfig({ JASPERWREN_BEHIND_PROXY: '1' })).toThrow('JASPERWREN_PROXIES');
    expect(() => readConfig({ JASPERWREN_BACKUP_KEY: 'short' })).toThrow('20 characters');
    const address = 'https://tiles.example/{z}/{x}/{y}.png';
    expect(() => readConfig({ JASPERWREN_TILES: address })).toThrow('JASPERWREN_TILES_CREDIT');
    expect(() => readConfig({ JASPERWREN_TILES: 'http://tiles.example/{z}/{x}/{y}.png' })).toThrow('https address');
    expect(() => readConfig({ JASPERWREN_TILES: 'https://tiles.example/map.png' })).toThrow('{z}, {x} and {y}');
    expect(readConfig({ JASPERWREN_TILES: address, JASPERWREN_TILES_CREDIT: 'Map makers' }).tiles).toEqual({
      address,
      credit: 'Map makers',
    });
  });

  it.each(['many', '-1', '70000', '80.5'])('refuses %s as a port, in a sentence', (port) => {
    expect(() => readConfig({ JASPERWREN_PORT: port })).toThrow(`not "${port}"`);
  });
});

describe('passwords', () => {
  it('are kept with a salt of their own and verified', async () => {
    const [one, two] = await Promise.all([hashPassword('three grey kettles'), hashPassword('three grey kettles')]);
    expect(one).not.toBe(two);
    expect(await verifyPassword('three grey kettles', one)).toBe(true);
    expect(await verifyPassword('three gray kettles', one)).toBe(false);
  });

  it('say no where there is no hash, or one of another making', async () => {
    expect(await verifyPassword('anything', undefined)).toBe(false);
    expect(await verifyPassword('anything', 'md5$abc')).toBe(false);
  });

  it('are the same however the letters were put together (RFC 8265, normalization)', async () => {
    const kept = await hashPassword('caf\u00e9 au lait, bien s\u00fbr');
    expect(await verifyPassword('cafe\u0301 au lait, bien su\u0302r', kept)).toBe(true);
  });
});

describe('errors', () => {
  it('that were not meant for people are not shown to them', async () => {
    const app = new Koa();
    app.use(shapeErrors(silent)).use(() => {
      throw new Error('the secret path /etc');
    });
    const { status, text } = await answerOf(app, '/api/x');
    expect(status).toBe(500);
    expect(text).not.toContain('secret');
    expect(JSON.parse(text)).toMatchObject({ error: { code: 'internal' } });
  });
});

describe('the pages', () => {
  const dist = mkdtempSync(join(tmpdir(), 'jasperwren-pages-'));
  beforeAll(() => {
    mkdirSync(join(dist, 'assets'));
    writeFileSync(join(dist, 'index.html'), '<title>Jasperwren</title>');
    writeFileSync(join(dist, 'assets', 'page-abc.js'), 'page()');
    writeFileSync(join(dist, 'secret.txt'), 'beside');
  });
  afterAll(() => rmSync(dist, { recursive: true }));
  const app = () => new Koa().use(pages(dist));

  it('are the application at every address that is no file', async () => {
    for (const path of ['/', '/learners/1', '/drive/1/desk']) {
      const { status, text, headers } = await answerOf(app(), path);
      expect([status, text]).toEqual([200, '<title>Jasperwren</title>']);
      expect(headers.get('cache-control')).toBe('no-cache');
    }
  });

  it('let built files be kept for good, and miss what is not there', async () => {
    const { headers } = await answerOf(app(), '/assets/page-abc.js');
    expect(headers.get('cache-control')).toContain('immutable');
    expect((await answerOf(app(), '/assets/page-old.js')).status).toBe(404);
  });

  it('keep out of the API and of folders above', async () => {
    expect((await answerOf(app(), '/api/anything')).status).toBe(404);
    expect((await answerOf(app(), '/..%2f..%2fetc%2fpasswd')).text).not.toContain('root:');
  });

  it('say what to do where the application is not built', async () => {
    const { status, text } = await answerOf(new Koa().use(pages(join(dist, 'assets'))), '/');
    expect([status, text]).toEqual([503, expect.stringContaining('npm run build')]);
  });
});
