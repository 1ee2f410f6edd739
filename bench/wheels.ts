/**
 * Where the wheels go: frames a second while driving on the bench, as it is and on a processor four times slower, against a
 * bare page; time to the first progress of a plan; and a plan against trying everything on a coarse grid.
 * Run: npm run build && npm run bench wheels
 */
import type { Page } from '@playwright/test';
import { Bench } from 'tinybench';
import { signInByForm } from '../e2e/fixtures';
import { usualPlanOptions } from '../packages/motion/src/planner/plan';
import { planExercise } from '../packages/motion/src/planner/plan-exercise';
import { leastMovementsByTrying } from '../packages/motion/src/planner/testing-tries';
import { vehicleClasses } from '../packages/motion/src/vehicle/classes';
import { framesOf, tableOfFrames } from './frames';
import { withBrowser } from './with-browser';

async function drive(page: Page): Promise<void> {
  await page.keyboard.down('ArrowDown');
  await page.keyboard.down('ArrowRight');
  await page.waitForTimeout(4000);
  await page.keyboard.up('ArrowDown');
  await page.keyboard.up('ArrowRight');
}

await withBrowser(async (browser, server) => {
  const page = await browser.newPage({ baseURL: server.address, viewport: { width: 1280, height: 900 } });
  await signInByForm(page, { email: 'ada@bench.example' });
  const bare = await browser.newPage({ viewport: { width: 1280, height: 900 } });
  await bare.setContent('<p>bare</p>');
  const cdp = await page.context().newCDPSession(page);
  const driven = async (rate: number) => {
    await page.goto('/yard/wheels?way=drive');
    await page.getByText('Nothing touched.').waitFor();
    await cdp.send('Emulation.setCPUThrottlingRate', { rate });
    const frames = await framesOf(page, drive);
    await cdp.send('Emulation.setCPUThrottlingRate', { rate: 1 });
    return frames;
  };
  console.table(
    tableOfFrames({
      'reference: a bare page': await framesOf(bare, drive),
      'driving on the bench': await driven(1),
      'driving on the bench, four times slower': await driven(4),
    }),
  );
  await page.goto('/yard/wheels?exercise=turn-in-road&way=drive');
  await page.getByText('Nothing touched.').waitFor();
  const asked = performance.now();
  await page.getByRole('link', { name: 'Plan', exact: true }).click();
  await page
    .getByText(/positions so far|movements?, \d/)
    .first()
    .waitFor();
  console.log(`first progress of a plan after ${Math.round(performance.now() - asked)} ms`);
});

const { car } = vehicleClasses;
const widthM = 8;
const bench = new Bench({ iterations: 3, warmupIterations: 1, time: 0, warmupTime: 0 });
bench
  .add('reference: trying everything', () => leastMovementsByTrying(car, widthM, 0.1))
  .add('planning a turn in the road', () =>
    planExercise(car, { code: 'turn-in-road', side: 'right', space: { roadM: widthM } }, usualPlanOptions),
  )
  .add('planning a bay, reversing in', () =>
    planExercise(car, { code: 'bay-reverse', side: 'right', space: {} }, usualPlanOptions),
  );
await bench.run();
const mean = (name: string) => {
  const { result } = bench.getTask(name)!;
  return result.state === 'completed' ? result.latency.mean : NaN;
};
const reference = mean('reference: trying everything');
console.table(
  bench.tasks.map(({ name }) => ({
    what: name,
    s: (mean(name) / 1000).toFixed(2),
    'of the reference': `${(mean(name) / reference).toFixed(2)} x`,
  })),
);
