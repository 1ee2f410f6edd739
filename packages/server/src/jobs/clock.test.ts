import { setTimeout as wait } from 'node:timers/promises';
import { watchClock } from './clock';

it('tells of a clock that jumps either way, and of none that runs', async () => {
  for (const jump of [-172_800_000, 172_800_000, 0]) {
    let off = 0;
    const told = new Promise<string>((resolve) => {
      const stop = watchClock(
        () => new Date(Date.now() + off),
        () => {
          stop();
          resolve('jumped');
        },
        5,
      );
      off = jump;
      if (jump === 0) void wait(100).then(() => (stop(), resolve('ran')));
    });
    expect(await told).toBe(jump === 0 ? 'ran' : 'jumped');
  }
});
