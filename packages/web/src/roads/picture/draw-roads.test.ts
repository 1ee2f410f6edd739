import { drawn, type Drawing } from '@jasperwren/roads/testing';
import { tokens } from '../../base/tokens';
import { drawRoads, type View } from './draw-roads';
import { prepareRoads } from './prepare';

/** A pen that writes down what it was told, with the colour and width it had. */
function recorder() {
  const calls: {
    readonly what: string;
    readonly args: readonly unknown[];
    readonly style: string;
    readonly width: number;
  }[] = [];
  const state: Record<string, unknown> = { strokeStyle: '', fillStyle: '', lineWidth: 1 };
  const pen = new Proxy(state, {
    get: (_, what: string) =>
      what in state
        ? state[what]
        : (...args: readonly unknown[]) => {
            calls.push({ what, args, style: String(state['strokeStyle']), width: Number(state['lineWidth']) });
            // As wide as text of this size is, about.
            return what === 'measureText' ? { width: 7 * String(args[0]).length } : undefined;
          },
    set: (_, what: string, value) => {
      state[what] = value;
      return true;
    },
  });
  const of = (what: string) => calls.filter((call) => call.what === what);
  return {
    pen: pen as unknown as CanvasRenderingContext2D,
    calls,
    of,
    texts: () => of('fillText').map(({ args }) => args[0]),
  };
}

/** Roads 600 m long side by side, drawn so that a metre is about a pixel at zoom 15. */
async function picture(drawing: Drawing, more: Partial<View> = {}) {
  const roads = prepareRoads(await drawn(drawing));
  const zoom = more.zoom ?? 16;
  const scale = 256 * 2 ** zoom;
  const [west, north] = [Math.min(...roads.x), Math.min(...roads.y)];
  const view = { scale, left: west * scale - 60, top: north * scale - 60, width: 1000, height: 800, zoom, ...more };
  const written = recorder();
  drawRoads(written.pen, roads, view, tokens.day, 'sans-serif');
  return written;
}

const two: Drawing = {
  nodes: { a: [0, 0], b: [400, 0], c: [0, 200], d: [400, 200] },
  ways: { 1: ['a b', { name: 'Quay Road' }], 2: ['c d', { name: 'Mill Lane', highway: 'secondary' }] },
};

it('draws each road that is in view, and names it once', async () => {
  const { of, texts } = await picture(two);
  expect(of('moveTo').length).toBeGreaterThanOrEqual(2);
  expect([...texts()].sort()).toEqual(['Mill Lane', 'Quay Road']);
  expect((await picture(two, { left: 1e9 })).of('moveTo')).toEqual([]);
});

it('writes the limit after the name of a large road, where the file gives one', async () => {
  const limited = {
    ...two,
    ways: { 2: ['c d', { name: 'Mill Lane', highway: 'secondary', maxspeed: '40 mph' }] },
  } as const;
  expect((await picture(limited)).texts()).toEqual(['Mill Lane  40']);
  const metric = { ...two, ways: { 2: ['c d', { name: 'Mill Lane', highway: 'secondary', maxspeed: '60' }] } } as const;
  expect((await picture(metric)).texts()).toEqual(['Mill Lane  60']);
});

it('leaves small roads out from afar, and small names from the middle distance', async () => {
  const far = await picture(two, { zoom: 12 });
  const near = await picture(two, { zoom: 15 });
  expect(far.of('lineTo').length).toBeLessThan(near.of('lineTo').length);
  const service = { ...two, ways: { 1: ['a b', { name: 'Back Yard', highway: 'service' }] } } as const;
  expect((await picture(service, { zoom: 15 })).texts()).toEqual([]);
  expect((await picture(service, { zoom: 17 })).texts()).toEqual(['Back Yard']);
});

it('puts an arrow on a one-way road where one can see it', async () => {
  const oneWay = { ...two, ways: { 1: ['a b', { oneway: 'yes' }] } } as const;
  expect((await picture(oneWay)).of('rotate')).toHaveLength(1);
  expect((await picture(oneWay, { zoom: 14 })).of('rotate')).toHaveLength(0);
  const [along] = (await picture(oneWay)).of('rotate');
  const [against] = (await picture({ ...two, ways: { 1: ['a b', { oneway: '-1' }] } })).of('rotate');
  expect(along!.args[0]).toBeCloseTo(0, 2);
  expect(Math.abs(against!.args[0] as number)).toBeCloseTo(Math.PI, 2);
});

it.each([
  ['lights', { highway: 'traffic_signals' }, 'roundRect', 1],
  ['a mini roundabout', { highway: 'mini_roundabout' }, 'arc', 1],
  ['a stop line', { highway: 'stop' }, 'fillRect', 1],
  ['a crossing', { highway: 'crossing' }, 'fillRect', 3],
] as const)('has a sign of its own for %s', async (_, tags, what, times) => {
  const drawing: Drawing = {
    nodes: { a: [0, 0], m: [200, 0, tags], b: [400, 0] },
    ways: { 1: ['a m b'] },
  };
  expect((await picture(drawing)).of(what)).toHaveLength(times);
  expect((await picture(drawing, { zoom: 14 })).of(what)).toHaveLength(0);
});

it('dashes roads that nobody may drive, and leaves no dash behind', async () => {
  const { of, calls } = await picture({ ...two, ways: { ...two.ways, 1: ['a b', { access: 'no' }] } });
  expect(of('setLineDash').map(({ args }) => args[0])).toEqual([[4, 4], []]);
  const dashed = calls.findIndex(({ what }) => what === 'setLineDash');
  const solid = calls.findLastIndex(({ what }) => what === 'setLineDash');
  const stroke = calls.findIndex(({ what }) => what === 'stroke');
  expect(stroke).toBeGreaterThan(dashed);
  expect(stroke).toBeLessThan(solid);
});

it('lets no name lie over another', async () => {
  const close: Drawing = {
    nodes: { a: [0, 0], b: [400, 0], c: [0, 4], d: [400, 4] },
    ways: { 1: ['a b', { name: 'Quay Road' }], 2: ['c d', { name: 'Mill Lane' }] },
  };
  expect((await picture(close)).texts()).toHaveLength(1);
});

it('turns a name so that it can be read from the south', async () => {
  const westward: Drawing = { nodes: { a: [400, 0], b: [0, 0] }, ways: { 1: ['a b', { name: 'Quay Road' }] } };
  const [turned] = (await picture(westward)).of('rotate');
  expect(Math.cos(turned!.args[0] as number)).toBeCloseTo(1, 2);
});
