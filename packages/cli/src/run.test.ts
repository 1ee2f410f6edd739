import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { EventBody } from '@jasperwren/core/drive/event';
import { foldDrive } from '@jasperwren/core/drive/fold';
import { fullTest } from '@jasperwren/core/drive/testing';
import { judgeDrive } from '@jasperwren/core/marking/judge';
import { gradesOf, rulesOf } from '@jasperwren/core/marking/rules';
import { tally, templates } from '@jasperwren/core/marking/testing-standards';
import { anyLogUnder } from '@jasperwren/core/marking/testing-arbitraries';
import { startTestServer } from '@jasperwren/server/testing';
import fc from 'fast-check';
import { signedIn } from './client';
import { cli } from './testing-cli';

const folder = mkdtempSync(join(tmpdir(), 'jasperwren-cli-'));
afterAll(() => rmSync(folder, { recursive: true }));

const record = (bodies: readonly EventBody[], more: object = {}) => ({
  format: 'jasperwren-drive',
  formatVersion: 1,
  driveId: 'd1',
  standard: { id: 'tally', version: tally.version },
  events: fullTest(bodies),
  ...more,
});

function file(content: unknown): string {
  const path = join(folder, 'drive.json');
  writeFileSync(path, typeof content === 'string' ? content : JSON.stringify(content));
  return path;
}

const fault = (grade: string): EventBody => ({ type: 'mark', item: 'signs.lights', grade });

describe('judge', () => {
  it('exits 0 on a pass, 3 on a fail and 4 on an incomplete drive', async () => {
    expect(await cli('judge', file(record([fault('driving')])))).toMatchObject({ code: 0 });
    expect(await cli('judge', file(record([fault('serious')])))).toMatchObject({ code: 3 });
    expect(await cli('judge', file(record([{ type: 'pin' }])))).toMatchObject({ code: 4 });
    expect(
      await cli('judge', file([record([]), record([{ type: 'pin' }]), record([fault('dangerous')])])),
    ).toMatchObject({ code: 3 });
  });

  it('prints verdict, reason, moment and room left', async () => {
    const { out } = await cli(
      'judge',
      file(record([fault('driving'), fault('serious')], { learner: { name: 'Ada' }, standard: tally })),
    );
    expect(out).toContain(`Ada, mock test d1, Tally v${tally.version}\nFail: 1 serious fault.`);
    expect(out).toContain('1 serious fault. None allowed.\n    at 19:30: Signs and lights: traffic lights');
    expect(out).toContain('Driving faults: 14 of 15 (1 used)');
  });

  it('prints the same as JSON', async () => {
    const { out } = await cli('judge', file(record([fault('serious')])), '--json');
    expect(JSON.parse(out)).toMatchObject([
      { outcome: 'fail', reasons: [{ limit: 'serious-or-dangerous', used: 1, allowed: 0 }] },
    ]);
  });

  it('exits 2 with place and cause on a file it cannot use', async () => {
    expect(await cli('judge', join(folder, 'none.json'))).toMatchObject({
      code: 2,
      err: expect.stringContaining('cannot be read'),
    });
    expect(await cli('judge', file('{'))).toMatchObject({ code: 2, err: expect.stringContaining('not JSON') });
    const spoilt = { ...record([]), events: [{ ...fullTest([])[0], seq: 'first' }] };
    expect(await cli('judge', file(spoilt))).toMatchObject({
      code: 2,
      err: expect.stringContaining('/events/0/seq: must be integer'),
    });
    const of = { id: 'homemade', version: 7 };
    const foreign = record([], {
      standard: of,
      events: [{ ...fullTest([])[0], standard: of }, ...fullTest([]).slice(1)],
    });
    expect(await cli('judge', file(foreign))).toMatchObject({
      code: 2,
      err: expect.stringContaining('"homemade" in version 7'),
    });
    expect(await cli('judge', file(foreign), '--standard', 'tally')).toMatchObject({ code: 0 });
    expect(await cli('judge', file(foreign), '--standard', 'none')).toMatchObject({
      code: 1,
      err: expect.stringContaining('There are: tally'),
    });
  });

  it('reads the marks anew under another standard, and says how', async () => {
    const { code, out } = await cli('judge', file(record([fault('dangerous')])), '--standard', 'graded');
    expect(code).toBe(3);
    expect(out).toContain('Fail: 1 grade 3.');
    expect(out).toContain('1 x dangerous fault read as grade 3.');
  });

  it.each(templates)('works for drives marked under $name', async (standard) => {
    const outright = standard.grades.find(({ sign }) => sign === 'outright')!.code;
    const item = [...rulesOf(standard).items.values()].find((placed) =>
      gradesOf(standard, placed.item).some(({ code }) => code === outright),
    )!.item;
    const mark: EventBody = { type: 'mark', item: item.code, grade: outright };
    const driven = standard.exercises.map(({ code }): EventBody => ({
      type: 'section',
      section: 'exercise',
      exercise: code,
    }));
    const of = (bodies: readonly EventBody[]) => ({
      ...record([]),
      standard,
      events: fullTest(bodies, standard.id),
    });
    const { code, out } = await cli('judge', file(of([...driven, mark])));
    expect(code).toBe(3);
    expect(out).toContain(`${standard.name} v${standard.version}\nFail: `);
    expect(out).not.toContain('undefined');
    const all = await cli('judge', file(of([...driven, mark])), '--standard', 'all');
    expect(all.out.split('\n').filter((line) => /^\S.* (pass|fail|incomplete) /.test(line))).toHaveLength(
      templates.length,
    );
  });

  it('prints a table of the verdicts under every standard', async () => {
    const four = Array.from({ length: 4 }, () => fault('driving'));
    const { code, out } = await cli('judge', file(record(four)), '--standard', 'all');
    expect(code).toBe(0);
    const row = (name: string) => out.split('\n').find((line) => line.startsWith(name));
    expect(row('Tally')).toMatch(/^Tally +pass +4 of 4/);
    expect(row('Graded marks')).toMatch(/fail +4 of 4 +4 grade 2 marks/);
    expect(row('Attempts yard')).toMatch(/incomplete +0 of 4 .*this standard is for a test in a yard/);
    expect(out).toContain('Attempts yard: 4 of 4 marks have no place under Attempts yard.');
    const json = JSON.parse((await cli('judge', file(record(four)), '--standard', 'all', '--json')).out) as unknown[][];
    expect(json[0]).toHaveLength(templates.length);
  });

  it('gives no result where the record names what its standard does not have', async () => {
    const many = Array.from({ length: 20 }, () => fault('driving'));
    for (const body of [
      { type: 'mark', item: 'moon.landing', grade: 'driving' },
      { type: 'mark', item: 'signs.lights', grade: 'awful' },
      { type: 'section', section: 'exercise', exercise: 'moon' },
    ] as const)
      for (const args of [[], ['--standard', 'tally'], ['--standard', 'graded'], ['--standard', 'all']]) {
        const { code, out } = await cli('judge', file(record([...many, body])), ...args);
        expect([args, code]).toEqual([args, 4]);
        expect(out).toMatch(/not judged: this standard has no/i);
      }
  });

  it('judges under its own standard asked for by name as it judges at home', async () => {
    const rolled: EventBody = { type: 'mark', item: 'slope.roll-back', grade: 'demerit', measured: 40 };
    const yard = {
      ...record([]),
      standard: { id: 'timed-yard', version: 4 },
      events: fullTest([rolled], 'timed-yard'),
    };
    for (const one of [yard, record([{ type: 'mark', item: 'checks.tell', grade: 'serious' }])]) {
      const plain = await cli('judge', file(one), '--json');
      expect(await cli('judge', file(one), '--json', '--standard', one.standard.id)).toEqual(plain);
    }
    const older = { ...tally, version: 1 };
    const events = [{ ...fullTest([])[0], standard: { id: 'tally', version: 1 } }, ...fullTest([]).slice(1)];
    const { out } = await cli('judge', file(record([], { standard: older, events })), '--standard', 'tally');
    expect(out).toContain('Tally v1');
  });

  it('has fields for what stopped a drive and what is missing', async () => {
    const stopped = {
      ...record([]),
      events: [...fullTest([]).slice(0, -1), { ...fullTest([]).at(-1), ending: 'abandoned', cause: 'safety' }],
    };
    const { out } = await cli('judge', file(stopped), '--json');
    expect(JSON.parse(out)).toMatchObject([
      {
        outcome: 'fail',
        stops: [{ kind: 'broken-off', cause: 'safety' }],
        missing: [{ kind: 'abandoned' }],
        conflicts: [],
      },
    ]);
  });

  it.each(templates)('judges any log under $name as the evaluator does', async (standard) => {
    for (const log of fc.sample(anyLogUnder(standard), { numRuns: 6, seed: 5 })) {
      const { outcome, reasons } = judgeDrive(standard, foldDrive(log));
      const one = { ...record([]), standard, events: log };
      for (const args of [[], ['--standard', standard.id]]) {
        const { code, out } = await cli('judge', file(one), '--json', ...args);
        expect(code).toBe({ pass: 0, fail: 3, incomplete: 4 }[outcome]);
        const [judged] = JSON.parse(out) as { outcome: string; reasons: { crossedAtMs: number }[] }[];
        expect(judged!.outcome).toBe(outcome);
        expect(judged!.reasons.map(({ crossedAtMs }) => crossedAtMs)).toEqual(reasons.map((one) => one.crossedAtMs));
      }
    }
  });

  it('prints twenty problems of a file and counts the others', async () => {
    const spoilt = fullTest(Array.from({ length: 500 }, () => fault('driving'))).map((event) => ({
      ...event,
      seq: 'x',
    }));
    const { code, err } = await cli('judge', file(record([], { events: spoilt })));
    expect(code).toBe(2);
    expect(err.split('\n')).toHaveLength(21);
    expect(err).toContain('and 484 problems more');
  });

  it('prints no control character and no line break of a file', async () => {
    const evil = 'Ada\u001b[2J\nPass, without a mark against it.\u202e\u0085';
    const named = await cli('judge', file(record([fault('serious')], { learner: { name: evil } })));
    expect(named.out.split('\n')[0]).toBe(
      `Ada\\u001b[2J\\u000aPass, without a mark against it.\\u202e\\u0085, mock test d1, Tally v${tally.version}`,
    );
    const json = await cli('judge', file(record([], { driveId: evil })), '--json');
    expect(JSON.parse(json.out)).toMatchObject([{ driveId: evil }]);
    // eslint-disable-next-line no-control-regex
    expect(json.out).not.toMatch(/[\u0000-\u0009\u000b-\u001f\u007f-\u009f\u202e]/);
  });

  it('helps whoever asks, and that is no error', async () => {
    for (const name of ['help', '--help', '-h']) {
      const { code, out, err } = await cli(name);
      expect([code, err]).toEqual([0, '']);
      expect(out).toContain('jasperwren judge FILE');
    }
  });

  it('exits 1 on a wrong call, with the list of what there is', async () => {
    for (const name of ['__proto__', 'constructor', 'jugde'])
      expect(await cli(name)).toMatchObject({ code: 1, err: expect.stringContaining(`There is no command “${name}”`) });
    for (const id of ['__proto__', 'Tally', ''])
      expect(await cli('judge', file(record([])), '--standard', id)).toMatchObject({
        code: 1,
        err: expect.stringContaining('There are: tally, graded'),
      });
    expect(await cli('judge', file(record([])), '--loud')).toMatchObject({
      code: 1,
      err: expect.stringContaining('--loud'),
    });
  });

  it('tells its use when it is called without a file', async () => {
    expect(await cli('judge')).toMatchObject({ code: 1 });
    expect(await cli()).toMatchObject({ code: 1, err: expect.stringContaining('jasperwren judge FILE') });
  });
});

describe('keeping data', () => {
  const before = process.env['JASPERWREN_DATA'];
  afterEach(() => {
    if (before === undefined) delete process.env['JASPERWREN_DATA'];
    else process.env['JASPERWREN_DATA'] = before;
  });

  it('makes a school whose lead can sign in', async () => {
    const dataDir = (process.env['JASPERWREN_DATA'] = join(folder, 'school'));
    process.env['JASPERWREN_PASSWORD'] = 'short';
    expect(await cli('school', 'Third', '--lead', 'Ada', '--email', 'ada@third.example')).toMatchObject({
      code: 1,
      err: expect.stringContaining('12 characters'),
    });
    process.env['JASPERWREN_PASSWORD'] = 'three grey kettles';
    expect(await cli('school', 'Third', '--lead', 'Ada', '--email', 'ada@third.example')).toMatchObject({ code: 0 });
    const server = await startTestServer(dataDir);
    await signedIn(server.address, 'ada@third.example', 'three grey kettles');
    await server.stop();
  });
});

describe('readiness', () => {
  const history = (bodies: readonly EventBody[]) =>
    [20, 12, 4].map((day, i) => ({
      ...record(bodies, { driveId: `d${i}`, standard: tally }),
      events: fullTest(bodies).map((event) => ({
        ...event,
        wall: `2026-03-${String(31 - day).padStart(2, '0')}T10:00:00Z`,
      })),
    }));

  it('says the word, the days and what is missing, the same for the same seed', async () => {
    const args = ['readiness', file(history([fault('serious')])), '--on', '2026-04-01', '--seed', '7'];
    const { code, out } = await cli(...args);
    expect(code).toBe(3);
    expect(out).toContain(`Not ready yet, under Tally v${tally.version}`);
    expect(out).toMatch(/Would pass about \d+ of 20 tests/);
    expect((await cli(...args)).out).toBe(out);
  });

  it('knows nothing of later days, and prints JSON', async () => {
    const { code, out } = await cli(
      'readiness',
      file(history([])),
      '--on',
      '2026-03-12',
      '--json',
      '--standard',
      'graded',
    );
    expect(code).toBe(4);
    expect(JSON.parse(out)).toMatchObject({ standard: 'graded', drives: 1, judgement: { word: 'cannot-say' } });
  });

  it('counts a drive once that is there twice, and refuses two that differ', async () => {
    const drives = history([fault('driving')]);
    const args = ['--on', '2026-04-01', '--json'];
    const once = await cli('readiness', file(drives), ...args);
    expect((await cli('readiness', file([...drives, drives[1]].reverse()), ...args)).out).toBe(once.out);
    const other = { ...drives[1]!, events: history([fault('serious')])[1]!.events };
    expect(await cli('readiness', file([...drives, other]), ...args)).toMatchObject({
      code: 2,
      err: expect.stringContaining('/3: the drive "d1" is there twice and differs from /1'),
    });
  });

  it('leaves out a drive that cannot be judged, and says so', async () => {
    const drives = history([]);
    const { err, out } = await cli(
      'readiness',
      file([...drives.slice(1), history([{ type: 'mark', item: 'moon', grade: 'driving' }])[0]]),
      '--on',
      '2026-04-01',
      '--json',
    );
    expect(err).toContain('mock test d0 is left out. Not judged: this standard has no fault type “moon”.');
    expect(JSON.parse(out)).toMatchObject({ drives: 2 });
  });

  it('refuses what it cannot use', async () => {
    expect((await cli('readiness', file(history([])), '--on', '2026-02-30')).code).toBe(1);
    expect((await cli('readiness')).code).toBe(1);
    expect((await cli('readiness', file('{'))).code).toBe(2);
    expect((await cli('readiness', file(history([])), '--on', 'tomorrow')).code).toBe(1);
  });
});
