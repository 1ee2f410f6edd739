import { join } from 'node:path';
import type { TilesView } from '@jasperwren/contract/accounts';

/** A key that is typed or made; shorter ones can be tried out. */
const shortestKey = 20;

/** How this server runs, from the environment; see docs/operating.md. */
export interface Config {
  readonly host: string;
  readonly port: number;
  /** Folder of the database. */
  readonly dataDir: string;
  /** Shows demo sign-in details on the sign-in page. */
  readonly demo: boolean;
  /** Cookies travel over https only. */
  readonly secureCookies: boolean;
  /** How many proxies stand in front: so many of the last entries of X-Forwarded-For are believed. */
  readonly proxies: number;
  /** Hours between two backups; 0 for none. */
  readonly backupEveryH: number;
  /** Folder of the backups. */
  readonly backupDir: string;
  /** How many backups are kept; older ones are taken away. */
  readonly backupKeep: number;
  /** Backups are encrypted with it, where there is one. */
  readonly backupKey?: string;
  /** Pictures that are drawn below the roads; without them no map of somebody else's is asked for. */
  readonly tiles?: TilesView;
  readonly logLevel: string;
}

/**
 * Reads the configuration.
 * @throws Error with a sentence for the operator where a value makes no sense
 */
export function readConfig(env: NodeJS.ProcessEnv): Config {
  const whole = (name: string, otherwise: number, most: number) => {
    const value = Number(env[name] ?? otherwise);
    if (Number.isInteger(value) && value >= 0 && value <= most) return value;
    throw new Error(`${name} must be a whole number from 0 to ${most}, not "${env[name]}".`);
  };
  if (env['JASPERWREN_BEHIND_PROXY'] !== undefined)
    throw new Error('JASPERWREN_BEHIND_PROXY is JASPERWREN_PROXIES now: the number of proxies in front, such as 1.');
  const dataDir = env['JASPERWREN_DATA'] ?? 'data';
  const backupKey = env['JASPERWREN_BACKUP_KEY'];
  if (backupKey !== undefined && backupKey.length < shortestKey)
    throw new Error(`JASPERWREN_BACKUP_KEY needs ${shortestKey} characters or more.`);
  return {
    host: env['JASPERWREN_HOST'] ?? '127.0.0.1',
    port: whole('JASPERWREN_PORT', 4180, 65535),
    dataDir,
    demo: env['JASPERWREN_DEMO'] === '1',
    secureCookies: env['JASPERWREN_SECURE_COOKIES'] === '1',
    proxies: whole('JASPERWREN_PROXIES', 0, 10),
    backupEveryH: whole('JASPERWREN_BACKUP_EVERY', 0, 24 * 31),
    backupDir: env['JASPERWREN_BACKUP_DIR'] ?? join(dataDir, 'backups'),
    backupKeep: whole('JASPERWREN_BACKUP_KEEP', 14, 10_000),
    ...(backupKey !== undefined && { backupKey }),
    ...tilesFrom(env['JASPERWREN_TILES'], env['JASPERWREN_TILES_CREDIT']),
    logLevel: env['JASPERWREN_LOG'] ?? 'info',
  };
}

function tilesFrom(address: string | undefined, credit: string | undefined): { readonly tiles?: TilesView } {
  if (address === undefined) return {};
  const holes = ['{z}', '{x}', '{y}'];
  if (!/^https:\/\/[^/{}]+\//.test(address) || !holes.every((hole) => address.includes(hole)))
    throw new Error('JASPERWREN_TILES must be an https address with {z}, {x} and {y}.');
  if (!credit?.trim())
    throw new Error('JASPERWREN_TILES needs JASPERWREN_TILES_CREDIT: whom the makers of the map want named.');
  return { tiles: { address, credit: credit.trim() } };
}
