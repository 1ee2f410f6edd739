import { run } from './run';

process.exitCode = await run(process.argv.slice(2), { out: console.log, err: console.error });
