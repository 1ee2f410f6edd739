import { EventEmitter, once } from 'node:events';
import { pino } from 'pino';
import { holdTheLastLine } from './last-line';

function line(prove: () => Promise<void>) {
  const process = new EventEmitter();
  const lines: { readonly level: number; readonly msg: string; readonly why?: string }[] = [];
  const told = new EventEmitter();
  const log = pino(
    {},
    { write: (text: string) => void told.emit('line', lines.push(JSON.parse(text) as (typeof lines)[0])) },
  );
  let ended = 0;
  holdTheLastLine(process, { log, prove, end: () => (ended += 1), patienceMs: 50 });
  const until = async (count: number) => {
    while (lines.length < count) await once(told, 'line');
    return lines;
  };
  return { process, until, ended: () => ended };
}

describe('an error that nobody caught', () => {
  it.each(['uncaughtException', 'unhandledRejection'])(
    'is logged, and the server goes on where its database does: %s',
    async (event) => {
      const { process, until, ended } = line(() => Promise.resolve());
      process.emit(event, new TypeError('Invalid URL'));
      expect((await until(2)).map(({ level }) => level)).toEqual([50, 40]);
      expect(ended()).toBe(0);
    },
  );

  it('ends the process where the database does not commit any more, once, and says why', async () => {
    const { process, until, ended } = line(() => Promise.reject(new Error('disk I/O error')));
    process.emit('uncaughtException', new Error('odd'));
    process.emit('uncaughtException', new Error('odd'));
    expect((await until(3)).at(-1)).toMatchObject({ level: 60, why: expect.stringContaining('disk I/O error') });
    expect(ended()).toBe(1);
  });

  it('ends it where the database does not answer', async () => {
    const { process, until, ended } = line(() => new Promise(() => undefined));
    process.emit('unhandledRejection', 'no error at all');
    expect((await until(2))[1]).toMatchObject({ level: 60, why: expect.stringContaining('50 ms') });
    expect(ended()).toBe(1);
  });

  it('ends it where such errors do not stop', async () => {
    const { process, until, ended } = line(() => Promise.resolve());
    for (let i = 0; i < 21; i++) process.emit('uncaughtException', new Error('again'));
    expect(await until(22)).toContainEqual(
      expect.objectContaining({ level: 60, why: expect.stringContaining('21 errors') }),
    );
    expect(ended()).toBe(1);
  });
});
