// npm run dev: server and web application, each again at every change.
import concurrently from 'concurrently';

const { result } = concurrently(
  [
    {
      name: 'server',
      command: 'tsx watch --tsconfig tsconfig.base.json packages/server/src/main.ts | pino-pretty',
      env: { JASPERWREN_DATA: process.env.JASPERWREN_DATA ?? 'data/demo', JASPERWREN_DEMO: '1' },
    },
    { name: 'web', command: 'vite packages/web --config packages/web/vite.config.ts' },
  ],
  { killOthersOn: ['failure', 'success'] },
);
await result.catch(() => process.exit(1));
