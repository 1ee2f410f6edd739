import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { DriveEvent } from '@jasperwren/core/drive/event';
import { foldDrive } from '@jasperwren/core/drive/fold';
import { fullTest } from '@jasperwren/core/drive/testing';
import { tally, timedYard } from '@jasperwren/core/marking/testing-standards';
import { assumptionsFor } from '@jasperwren/core/readiness/assumptions';
import { estimate } from '@jasperwren/core/readiness/estimate';
import { evidenceOfDrive, type Evidence } from '@jasperwren/core/readiness/evidence';
import { fitSchool } from '@jasperwren/core/readiness/fit';
import { figuresOfKinds } from '@jasperwren/core/readiness/school-figures';
import { eventsOfDemoDrive, type DemoDrive } from './demo-drive';
import { cli } from './testing-cli';

const folder = mkdtempSync(join(tmpdir(), 'jasperwren-readiness-'));
afterAll(() => rmSync(folder, { recursive: true }));

const file = (name: string, content: unknown): string => {
  const path = join(folder, name);
  writeFileSync(path, typeof content === 'string' ? content : JSON.stringify(content));
  return path;
};

const today = new Date(2026, 10, 23);
const on = '2026-11-23';
const learners = (
  JSON.parse(readFileSync(join(__dirname, '../../../demo/learners.json'), 'utf8')) as {
    readonly name: string;
    readonly drives: readonly DemoDrive[];
  }[]
).map(({ name, drives }) => ({
  name,
  logs: drives.map((drive, i) => eventsOfDemoDrive(drive, `d${i}`, 'learner', `marker ${i % 2}`, tally, today)),
}));
const recordOf = (driveId: string, events: readonly DriveEvent[], standard = tally) => ({
  format: 'jasperwren-drive',
  formatVersion: 1,
  driveId,
  standard: { id: standard.id, version: standard.version },
  events,
});
const roadRecords = (logs: readonly (readonly DriveEvent[])[]) => logs.map((log, i) => recordOf(`d${i}`, log));
/** Clean and spoilt runs of the yard, in the days before. */
const yardRecords = [1, 2, 3].map((days) =>
  recordOf(
    `yard${days}`,
    fullTest([], timedYard.id).map((event) => ({
      ...event,
      id: `yard${days}-${event.id}`,
      wall: new Date(today.getTime() - days * 86_400_000 + event.atMs).toISOString(),
    })),
    timedYard,
  ),
);
const evidenceOf = (logs: readonly (readonly DriveEvent[])[]): readonly Evidence[] =>
  logs.flatMap((log) => {
    const one = evidenceOfDrive(tally, foldDrive(log));
    return one ? [{ ...one, marker: log[0]!.by }] : [];
  });

describe('readiness of the demo’s learners', () => {
  it.each(learners)('is the same of $name’s roads alone and with yard runs beside them', async ({ logs }) => {
    const asked = ['--standard', 'tally', '--on', on, '--json'] as const;
    const alone = await cli('readiness', file('road.json', roadRecords(logs)), ...asked);
    const both = await cli('readiness', file('both.json', [...roadRecords(logs), ...yardRecords]), ...asked);
    const { others, ...said } = JSON.parse(both.out) as Record<string, unknown>;
    expect(others).toBe(yardRecords.length);
    expect({ ...said, others: 0 }).toEqual(JSON.parse(alone.out));
    expect(both.code).toBe(alone.code);
  });

  it('goes by the figures of a school where they are given, and says by which', async () => {
    const school = fitSchool(
      learners.map(({ logs }) => ({ evidence: evidenceOf(logs) })),
      'road',
    );
    const figures = file('figures.json', {
      format: 'jasperwren-school-figures',
      formatVersion: 1,
      figures: figuresOfKinds({ road: school, yard: fitSchool([], 'yard') }),
    });
    const [{ logs }] = learners as [(typeof learners)[number]];
    const records = file('road.json', roadRecords(logs));
    const said = JSON.parse((await cli('readiness', records, '--on', on, '--school', figures, '--json')).out) as {
      readonly chance: object;
    };
    const page = estimate({
      ...{ standard: tally, evidence: evidenceOf(logs), on: new Date(`${on}T23:59:59Z`), seed: 1 },
      assumptions: assumptionsFor(school, tally.id),
      school,
    });
    expect(said.chance).toEqual(JSON.parse(JSON.stringify(page.chance)));
    const bySchool = await cli('readiness', records, '--on', on, '--school', figures);
    expect(bySchool.out).toContain('By the figures of your school.');
    const byDefaults = await cli('readiness', records, '--on', on);
    expect(byDefaults.out).toContain('By the stated defaults');
  });

  it('refuses figures that are none, with place and cause', async () => {
    const records = file('road.json', roadRecords(learners[0]!.logs));
    const torn = await cli('readiness', records, '--school', file('torn.json', '{"format":'));
    expect([torn.code, torn.err]).toEqual([2, expect.stringContaining('not JSON')]);
    const other = await cli('readiness', records, '--school', file('other.json', { format: 'x', formatVersion: 1 }));
    expect([other.code, other.err]).toEqual([2, expect.stringMatching(/figures/)]);
    expect((await cli('readiness', records, '--school', join(folder, 'nowhere.json'))).code).toBe(2);
  });
});
