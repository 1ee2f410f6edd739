import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import type { WelcomeView } from '@jasperwren/contract/accounts';
import { readConfig } from './config';
import { holdTheLastLine } from './last-line';
import { logOf } from './log';
import { serve } from './serve';

/** The folder above `packages`, wherever the built file lies. */
const root = join(import.meta.dirname, '../../..');

/** Of sysexits.h: an internal software error. A unit with Restart=on-failure starts the server anew. */
const inDoubt = 70;

async function main(): Promise<void> {
  const config = readConfig(process.env);
  const welcome = config.demo ? (JSON.parse(readFileSync(join(root, 'demo/sign-in.json'), 'utf8')) as WelcomeView) : {};
  const worker = join(root, 'packages/server/dist/worker.js');
  const log = logOf(config.logLevel);
  const running = await serve(config, join(root, 'packages/web/dist'), { welcome, worker, log });
  holdTheLastLine(process, { log, prove: running.prove, end: () => process.exit(inDoubt) });
  console.log(`Jasperwren is at ${running.address}`);
  for (const signal of ['SIGINT', 'SIGTERM'] as const) {
    process.once(signal, () => {
      void running.stop().then(() => process.exit(0));
    });
  }
}

main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error);
  process.exit(1);
});
