import { expose } from 'comlink';
import { follow, type Steps } from './follow';
import { until } from '../testing-until';
import { workersOf } from './workers';

const sums = {
  double: (n: number) => 2 * n,
  fail: (): number => {
    throw new Error('Too large to double.');
  },
};
type Sums = typeof sums;

const made: PretendedWorker[] = [];

/** A worker on this thread: messages go through a port, as they would between threads. */
class PretendedWorker extends EventTarget {
  terminated = false;
  private readonly ports = new MessageChannel();
  constructor() {
    super();
    made.push(this);
    this.ports.port1.addEventListener('message', ({ data }) =>
      this.dispatchEvent(new MessageEvent('message', { data })),
    );
    this.ports.port1.start();
    expose(sums, this.ports.port2);
  }
  postMessage(message: unknown, transfer: unknown): void {
    this.ports.port1.postMessage(message, transfer as never);
  }
  terminate(): void {
    this.terminated = true;
    this.ports.port1.close();
  }
}

const workers = () => workersOf<Sums>(() => new PretendedWorker() as unknown as Worker);

interface Parts {
  readonly once: number;
  readonly twice: number;
}
const steps: Steps<Sums, number, Parts> = async (work, question, tell) => {
  const once = await work.double(question);
  tell({ once });
  tell({ twice: await work.double(once) });
};

/** Follows a question to its end. */
function followed(of = workers(), how: Steps<Sums, number, Parts> = steps, question = 3) {
  const told: Partial<Parts>[] = [];
  let cancel = () => undefined as void;
  const failed = new Promise<string>((resolve) => {
    cancel = follow(of, question, how, { told: (parts) => told.push(parts), failed: resolve });
  });
  return { told, failed, cancel };
}

beforeEach(() => made.splice(0));
afterEach(() => made.forEach((worker) => worker.terminate()));

describe('work beside the page', () => {
  it('is told part by part, and its worker ends with it', async () => {
    const { told } = followed();
    await until(() => told.length === 2);
    expect(told).toEqual([{ once: 6 }, { twice: 12 }]);
    await until(() => made[0]!.terminated);
  });

  it('has a worker ready ahead, and another one after each question', async () => {
    const pool = workers();
    expect(made).toHaveLength(1);
    const first = followed(pool);
    expect(made).toHaveLength(1);
    await until(() => first.told.length === 2 && made.length === 2);
    const second = followed(pool, steps, 5);
    await until(() => second.told.length === 2);
    expect(second.told[0]).toEqual({ once: 10 });
  });

  it('ends when it is not wanted any more, and tells nothing', async () => {
    const { told, cancel } = followed();
    cancel();
    expect(made[0]!.terminated).toBe(true);
    await new Promise((resolve) => setTimeout(resolve, 20));
    expect(told).toEqual([]);
    cancel();
    expect(made).toHaveLength(2);
  });

  it('says what went wrong in a step', async () => {
    const { failed, told } = followed(workers(), async (work, _, tell) => tell({ once: await work.fail() }));
    expect(await failed).toBe('Too large to double.');
    expect(told).toEqual([]);
  });

  it('says that the worker itself broke, which no call would ever tell', async () => {
    const never: Steps<Sums, number, Parts> = () => new Promise(() => undefined);
    const first = followed(workers(), never);
    made.at(-1)!.dispatchEvent(new Event('error'));
    expect(await first.failed).toBe('The calculation could not be started.');
    const second = followed(workers(), never);
    made.at(-1)!.dispatchEvent(Object.assign(new Event('error'), { message: 'Out of memory' }));
    expect(await second.failed).toBe('Out of memory');
    // One that broke while it waited to be asked.
    const pool = workers();
    made.at(-1)!.dispatchEvent(new Event('error'));
    expect(await followed(pool, never).failed).toBe('The calculation could not be started.');
  });
});
