import { mkdtempSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { writeGpxTrace } from '@jasperwren/roads/formats/gpx';
import type { RoadsSummary } from '@jasperwren/roads/graph/summary';
import { run } from './run';

interface Way {
  readonly metres: number;
  readonly line: readonly (readonly [number, number])[];
  readonly calls: readonly { readonly at: number; readonly distance: number; readonly say: string }[];
}

const island = path.join(process.cwd(), 'demo/tarnavel.osm');

async function roads(...args: readonly string[]) {
  const out: string[] = [];
  const err: string[] = [];
  const code = await run(['roads', ...args], { out: (line) => out.push(line), err: (line) => err.push(line) });
  return { code, out: out.join('\n'), err: err.join('\n') };
}

function fileOf(name: string, text: string): string {
  const file = path.join(mkdtempSync(path.join(tmpdir(), 'roads-')), name);
  writeFileSync(file, text);
  return file;
}

describe('roads at the command line', () => {
  it('sums up the island', async () => {
    const { code, out } = await roads('summary', island, '--json');
    expect(code).toBe(0);
    const summary = JSON.parse(out) as RoadsSummary;
    expect(summary.components).toEqual([summary.junctions]);
    expect(summary.junctions).toBeGreaterThan(1300);
    const byClass = Object.values(summary.kmByClass).reduce((sum, km) => sum + km, 0);
    expect(byClass).toBeCloseTo(summary.km, 2);
  });

  it('gives a way with its calls', async () => {
    const { code, out } = await roads('route', island, '--from', '44.2,-33.405', '--to', '44.222,-33.34', '--json');
    expect(code).toBe(0);
    const way = JSON.parse(out) as Way;
    expect(way.line.length).toBeGreaterThan(50);
    expect(way.metres).toBeGreaterThan(5000);
    for (const { at, distance, say } of way.calls) {
      expect(at + distance).toBeLessThanOrEqual(way.metres);
      expect(say).toMatch(/^[A-Z].*\.$/);
    }
    const far = await roads(
      'route',
      island,
      '--from',
      '44.2,-33.405',
      '--to',
      '44.222,-33.34',
      '--by',
      'distance',
      '--json',
    );
    expect((JSON.parse(far.out) as Way).metres).toBeLessThanOrEqual(way.metres);
  });

  it('plans loops, the same for the same seed', async () => {
    const plan = () =>
      roads('plan', island, '--from', '44.2,-33.405', '--minutes', '20', '--seed', '5', '--loops', '2', '--json');
    const [one, two] = [await plan(), await plan()];
    expect(one.out).toBe(two.out);
    expect(JSON.parse(one.out)).toHaveLength(2);
  });

  it.each([
    [['summary'], 1, 'Name one file'],
    [['fly', 'x'], 1, 'Say what to do'],
    [['route', island, '--from', '44.2'], 1, 'Say the place as degrees: --from LAT,LON'],
    [['route', island, '--from', '44.2,-33.405', '--to', '10,10'], 2, 'no road within 1000 m of the end'],
    [['plan', island, '--from', '44.2,-33.405'], 1, '--minutes is a number from 2 to 240.'],
    [['plan', island, '--from', '44.2,-33.405', '--minutes', '40', '--want', 'ferries'], 1, '--want is one of'],
    [['summary', 'no-such.osm'], 2, 'no-such.osm'],
    [['summary', fileOf('a.txt', 'x')], 2, 'Roads come as .osm'],
    [['summary', fileOf('a.osm', '')], 2, 'The file is empty.'],
    [['summary', fileOf('a.osm', '<osm><node id="1"/></osm>')], 2, 'Line 1: node 1 has no coordinates.'],
    [['summary', fileOf('a.geojson', '{"type":"Point"}')], 2, 'holds no features with lines'],
    [['summary', fileOf('a.geojson', '{"type":')], 2, 'not JSON'],
  ])('%j ends with %d', async (args, code, message) => {
    const answer = await roads(...args);
    expect(answer.code).toBe(code);
    expect(answer.err).toContain(message);
  });

  it('says where a trace went, and how sure that is', async () => {
    const way = JSON.parse(
      (await roads('route', island, '--from', '44.2,-33.405', '--to', '44.222,-33.34', '--json')).out,
    ) as Way;
    const points = way.line.map(([lat, lon], i) => ({ at: Date.UTC(2026, 4, 4, 9) + i * 5000, lat, lon }));
    const trace = fileOf('trace.gpx', writeGpxTrace('Trace', points, []));
    const { code, out } = await roads('match', island, trace, '--json');
    expect(code).toBe(0);
    const found = JSON.parse(out) as {
      readonly fixes: number;
      readonly pieces: readonly { readonly metres: number; readonly roads: readonly { readonly sure: number }[] }[];
    };
    expect(found.fixes).toBeGreaterThan(points.length * 0.9);
    expect(found.pieces).toHaveLength(1);
    expect(Math.abs(found.pieces[0]!.metres / way.metres - 1)).toBeLessThan(0.02);
    expect((await roads('match', island, trace)).out).toContain('positions, scattered by about');
  });

  it('says what is wrong with a trace, and wants one', async () => {
    const empty = fileOf('empty.gpx', '<gpx/>');
    expect(await roads('match', island, empty)).toMatchObject({ code: 2, err: expect.stringContaining('no track') });
    expect((await roads('match', island)).code).toBe(1);
    expect((await roads('match', island, '/nowhere.gpx')).code).toBe(2);
  });

  it('reads lines of GeoJSON as roads', async () => {
    const line = (coordinates: readonly (readonly [number, number])[]) => ({
      type: 'Feature',
      properties: {},
      geometry: { type: 'LineString', coordinates },
    });
    const file = fileOf(
      'net.geojson',
      JSON.stringify({
        type: 'FeatureCollection',
        features: [
          line([
            [0, 0],
            [0.001, 0],
            [0.002, 0],
          ]),
          line([
            [0.001, 0],
            [0.001, 0.001],
          ]),
        ],
      }),
    );
    const { out } = await roads('summary', file, '--json');
    expect(JSON.parse(out)).toMatchObject({ ways: 2, junctions: 1, edges: 6, components: [1] });
  });
});
