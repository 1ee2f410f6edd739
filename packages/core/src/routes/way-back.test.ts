import { instructorStyle } from '@jasperwren/roads/directions/calls';
import { drawn, placeAt } from '@jasperwren/roads/testing';
import { openGraph, readRoute, type RouteReading } from './read-route';
import { afterMissing, beforeClosed, stopsAhead, wayBack } from './way-back';

// Two blocks side by side; the route goes east, turns left at c and ends at f.
const roads = (async () =>
  openGraph(
    await drawn({
      nodes: {
        a: [0, 0],
        b: [400, 0],
        c: [800, 0],
        d: [1200, 0],
        e: [400, 400],
        f: [800, 400],
        g: [1200, 400],
      },
      ways: { 1: ['a b c d'], 2: ['e f g'], 3: ['b e'], 4: ['c f'], 5: ['d g'] },
    }),
  ))();

const stop = (x: number, y: number) => ({ ...placeAt(x, y), mode: 'directions' as const });
const stops = [stop(0, 0), stop(800, 200), stop(800, 400)];

async function read(): Promise<RouteReading> {
  const reading = readRoute(await roads, stops, instructorStyle);
  if (!('line' in reading)) throw new Error('The route cannot be driven.');
  return reading;
}
const passes = ({ line }: RouteReading, x: number, y: number) => {
  const { lat, lon } = placeAt(x, y);
  return line.some(([a, b]) => Math.hypot(a - lat, b - lon) < 2e-5);
};

describe('a new way', () => {
  it('leads on after a missed turn, without turning round in the road', async () => {
    const reading = await read();
    const car = afterMissing(await roads, reading, reading.calls[0]!)!;
    expect(car.heading).toBeCloseTo(90, 0);
    const back = wayBack(await roads, car, stopsAhead(stops, reading, reading.calls[0]!.at), instructorStyle);
    if (!('line' in back)) throw new Error('There is a way.');
    expect([passes(back, 1200, 0), passes(back, 1200, 400), passes(back, 800, 400)]).toEqual([true, true, true]);
    expect(back.calls[0]!.decision).toMatchObject({ kind: 'turn', turn: 'left' });
  });

  it('leads round a road that is closed', async () => {
    const reading = await read();
    const { car, closed } = beforeClosed(await roads, reading, reading.calls[0]!)!;
    const back = wayBack(await roads, car, [stop(800, 400)], instructorStyle, closed);
    if (!('line' in back)) throw new Error('There is a way.');
    expect(passes(back, 1200, 400)).toBe(true);
    for (const edge of back.edges) expect(closed.has((await roads).graph.edgeStretch[edge]!)).toBe(false);
  });

  it('is none where every road on is closed', async () => {
    const { graph } = await roads;
    const all = new Set(graph.edgeStretch);
    expect(wayBack(await roads, { ...placeAt(100, 0), heading: 90 }, [stop(800, 400)], instructorStyle, all)).toEqual({
      broken: { leg: 0, problem: { code: 'noWay' } },
    });
  });

  it('goes the way the car is heading, or either where that is unknown', async () => {
    const west = wayBack(await roads, { ...placeAt(600, 0), heading: 270 }, [stop(800, 200)], instructorStyle);
    const any = wayBack(await roads, placeAt(600, 0), [stop(800, 200)], instructorStyle);
    if (!('line' in west) || !('line' in any)) throw new Error('There is a way.');
    expect(passes(west, 400, 400)).toBe(true);
    expect(any.metres).toBeCloseTo(400, 0);
    expect(west.metres).toBeGreaterThan(any.metres);
  });

  it('keeps the stops that were not passed yet', async () => {
    const reading = await read();
    expect(stopsAhead(stops, reading, 100)).toEqual(stops.slice(1));
    expect(stopsAhead(stops, reading, 1100)).toEqual(stops.slice(2));
  });
});
