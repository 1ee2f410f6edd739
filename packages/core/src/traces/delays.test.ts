import { createReadStream } from 'node:fs';
import path from 'node:path';
import { planLoops } from '@jasperwren/roads/plan/plan-loops';
import { readRoads } from '@jasperwren/roads/read-roads';
import { endAt } from '@jasperwren/roads/route/via';
import { delayKinds } from '@jasperwren/roads/delays';
import { timeModel } from '@jasperwren/roads/route/time-model';
import { cleanFixes } from '@jasperwren/roads/traces/fix';
import { matchTrace } from '@jasperwren/roads/traces/match';
import { simulateTrace } from '@jasperwren/roads/traces/simulate';
import { openGraph } from '../routes/read-route';
import { delaysOf, learntDelays, type MeasuredDelays } from './delays';

const island = (async () => {
  const file = path.join(process.cwd(), 'demo/tarnavel.osm');
  return readRoads(file, createReadStream(file));
})();

it('finds what a drive lost at lights, where it was driven as usual and where it waited longer', async () => {
  const source = await island;
  const measured = [undefined, { signals: 40 }].map((delays) => {
    // What the roads say is lost the simulated drive loses.
    const slow = openGraph({ ...source, ...(delays && { delays }) });
    const plain = openGraph(source);
    const all: MeasuredDelays[] = [];
    for (let seed = 1; seed <= 5; seed++) {
      const from = endAt(plain.graph, plain.finder, { lat: 44.2, lon: -33.405 });
      const wish = { from, minutes: 25, wants: { signals: 4 }, loops: 1, seed };
      const [loop] = planLoops(plain.graph, plain.router, plain.time, plain.side, wish);
      const { fixes } = simulateTrace(slow.graph, slow.time, loop!.path, { seed, noise: 3, lasting: 0.9 });
      all.push(delaysOf(plain.graph, plain.side, matchTrace(plain, cleanFixes(fixes).fixes).pieces));
    }
    return all;
  });
  const mean = (all: readonly MeasuredDelays[]) => {
    const counts = all.flatMap(({ signals }) => (signals ? [signals] : []));
    const [count, seconds] = counts.reduce((a, b) => [a[0] + b[0], a[1] + b[1]], [0, 0]);
    return { count, seconds: seconds / count };
  };
  const [usual, slow] = measured.map(mean) as [ReturnType<typeof mean>, ReturnType<typeof mean>];
  expect(usual.count).toBeGreaterThanOrEqual(4);
  expect(Math.abs(usual.seconds - timeModel.signals)).toBeLessThan(6);
  expect(slow.seconds - usual.seconds).toBeGreaterThan(15);
}, 60_000);

it('draws few measurements towards the usual, and many hardly', () => {
  expect(learntDelays([])).toEqual({});
  expect(learntDelays([{ signals: [1, 60] }])).toEqual({ signals: Number(((60 + 20 * 16) / 21).toFixed(1)) });
  const many = Array.from({ length: 50 }, (): MeasuredDelays => ({ stop: [10, 200] }));
  expect(learntDelays(many).stop).toBeCloseTo(19.5, 0);
});

it('knows every delay of the model that is met at a junction', () => {
  for (const kind of delayKinds) expect(timeModel[kind]).toBeGreaterThan(0);
});

it('counts a route longer where drives lost more', async () => {
  const source = await island;
  const [usual, slow] = [openGraph(source), openGraph({ ...source, delays: { acrossTurn: 60 } })];
  const at = (roads: typeof usual) => {
    const [a, b] = [
      { lat: 44.2, lon: -33.405 },
      { lat: 44.222, lon: -33.34 },
    ].map((place) => endAt(roads.graph, roads.finder, place));
    return roads.router.find(a!, b!)!.cost;
  };
  expect(at(slow)).toBeGreaterThan(at(usual));
});
