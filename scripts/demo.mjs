// npm run demo: from a fresh clone to a running demo.
import { existsSync } from 'node:fs';
import { createServer } from 'node:net';
import { ensureInstalled, giveUp, requireNode, run } from './setup.mjs';

requireNode();
const port = Number(process.env.JASPERWREN_PORT ?? 4180);
await requirePort(port);
await ensureInstalled();
if (!(await run('npm', ['run', '--silent', 'build'])))
  giveUp('The application could not be built; see the lines above.');
const env = {
  JASPERWREN_DATA: process.env.JASPERWREN_DATA ?? 'data/demo',
  JASPERWREN_DEMO: '1',
  JASPERWREN_LOG: process.env.JASPERWREN_LOG ?? 'warn',
  JASPERWREN_PORT: String(port),
};
if (!existsSync('packages/cli/dist/main.js')) giveUp('The command line was not built; see the lines above.');
if (!(await run(process.execPath, ['packages/cli/bin/jasperwren.mjs', 'demo', 'demo'], env)))
  giveUp('The demo data could not be loaded; see the lines above.');
process.exitCode = (await run(process.execPath, ['packages/server/dist/main.js'], env)) ? 0 : 1;

/** Says so before the long part when the port is taken. */
function requirePort(wanted) {
  return new Promise((resolve) => {
    const probe = createServer();
    probe.once('error', (error) => {
      if (error.code === 'EADDRINUSE')
        giveUp(
          `Port ${wanted} is in use by another program. Stop it, or choose another: JASPERWREN_PORT=${wanted + 1} npm run demo`,
        );
      giveUp(`Port ${wanted} cannot be used: ${error.message}`);
    });
    probe.listen(wanted, '127.0.0.1', () => probe.close(resolve));
  });
}
