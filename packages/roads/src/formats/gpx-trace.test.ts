import { execFileSync } from 'node:child_process';
import { mkdtempSync, readFileSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { RoadsError } from '../problem';
import { spoilt } from '../testing-mutations';
import { cleanFixes } from '../traces/fix';
import { readGpxFixes, writeGpxTrace } from './gpx';

const at = Date.UTC(2026, 4, 4, 9, 0);
const fixes = Array.from({ length: 12 }, (_, i) => ({ at: at + i * 1000, lat: 48 + i / 10_000, lon: -30 }));
const waypoints = [{ at: at + 5000, lat: 48.0005, lon: -30, name: 'Mirrors & signals' }];
const gpx = writeGpxTrace('A drive', fixes, waypoints);

describe('a trace as GPX 1.1', () => {
  it('is read as it was written', () => {
    expect(readGpxFixes(gpx)).toEqual(fixes);
  });

  it('is read by another program with its times, and its files by us (GPSBabel)', () => {
    const folder = mkdtempSync(path.join(tmpdir(), 'gpx-'));
    const [own, theirs] = ['own.gpx', 'theirs.gpx'].map((name) => path.join(folder, name)) as [string, string];
    writeFileSync(own, gpx);
    execFileSync('gpsbabel', ['-w', '-t', '-i', 'gpx', '-f', own, '-o', 'gpx', '-F', theirs]);
    const back = readFileSync(theirs, 'utf8');
    expect(readGpxFixes(back)).toEqual(fixes);
    expect(back).toContain('Mirrors &amp; signals');
  });

  it('keeps points without a time or a place for whoever cleans them', () => {
    const text = `<gpx><trk><trkseg><trkpt lat="48" lon="-30"><time>2026-05-04T09:00:00Z</time><speed>12.5</speed></trkpt>
      <trkpt lat="48" lon="-30"/><trkpt lon="-30"><time>2026-05-04T09:00:01Z</time></trkpt></trkseg></trk></gpx>`;
    const read = readGpxFixes(text);
    expect(read).toHaveLength(3);
    expect(read[0]).toEqual({ at, lat: 48, lon: -30, speed: 12.5 });
    expect(cleanFixes(read).leftOut).toMatchObject({ untimed: 1, nowhere: 1 });
  });

  it('without any time says so', () => {
    expect(() => readGpxFixes('<gpx><trk><trkseg><trkpt lat="1" lon="2"/></trkseg></trk></gpx>')).toThrow('noTimes');
    expect(() => readGpxFixes('<gpx><rte/></gpx>')).toThrow('noTrack');
  });
});

it('a spoilt one gives fixes that can be cleaned or says what is wrong, and never anything else', () => {
  const source = xoroshiro128plus(Number(process.env['MUTATION_SEED'] ?? 9));
  const random = () => uniformFloat64(source);
  const times = Number(process.env['MUTATIONS'] ?? 600);
  const outcomes = new Map<string, number>();
  for (let i = 0; i < times; i++) {
    const text = new TextDecoder().decode(spoilt(gpx, random));
    let outcome = 'read';
    try {
      const { fixes: clean } = cleanFixes(readGpxFixes(text));
      expect(clean.every((fix, k) => k === 0 || fix.at > clean[k - 1]!.at)).toBe(true);
    } catch (error) {
      if (!(error instanceof RoadsError)) throw new Error(`${text}\n${String(error)}`, { cause: error });
      outcome = error.problem.code;
    }
    outcomes.set(outcome, (outcomes.get(outcome) ?? 0) + 1);
  }
  expect(outcomes.get('read')).toBeGreaterThan(times / 20);
  expect(outcomes.size).toBeGreaterThan(1);
});
