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
  /** The X-Forwarded headers of a proxy in front are believed. */
  readonly behindProxy: boolean;
  readonly logLevel: string;
}

/**
 * Reads the configuration.
 * @throws Error with a sentence for the operator where a value makes no sense
 */
export function readConfig(env: NodeJS.ProcessEnv): Config {
  const port = Number(env['JASPERWREN_PORT'] ?? 4180);
  if (!Number.isInteger(port) || port < 0 || port > 65535) {
    throw new Error(`JASPERWREN_PORT must be a whole number from 0 to 65535, not "${env['JASPERWREN_PORT']}".`);
  }
  return {
    host: env['JASPERWREN_HOST'] ?? '127.0.0.1',
    port,
    dataDir: env['JASPERWREN_DATA'] ?? 'data',
    demo: env['JASPERWREN_DEMO'] === '1',
    secureCookies: env['JASPERWREN_SECURE_COOKIES'] === '1',
    behindProxy: env['JASPERWREN_BEHIND_PROXY'] === '1',
    logLevel: env['JASPERWREN_LOG'] ?? 'info',
  };
}
