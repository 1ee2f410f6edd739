import { attemptsYard as attempts, reversingArea as reversing, timedYard as timed } from '../marking/testing-standards';
import type { EffectiveStandard } from '../marking/standard';
import { randomPlan, simulateRun } from './simulate-run';
import { readFeedRows, readRunCsv, writeRunCsv } from './telemetry-csv';
import { cameOf, sayTheSame, spoilt, spoils, type CameOf } from './testing-spoilt';
import { unseenWithout } from './unseen';

const problemOf = (text: string) => {
  const read = readRunCsv(text);
  return 'problem' in read ? read.problem : undefined;
};
const samplesOf = (text: string) => {
  const read = readRunCsv(text);
  return 'run' in read ? read.run.samples : undefined;
};

/** Files of runs that fail, under every yard that ships. */
const failing = [timed, attempts, reversing].flatMap(
  (standard): { standard: EffectiveStandard; text: string; sound: CameOf }[] => {
    const texts = Array.from({ length: 6 }, (_, seed) =>
      writeRunCsv(simulateRun(standard, randomPlan(standard, seed + 1, 0.3))),
    );
    return texts
      .map((text) => ({ standard, text, sound: cameOf(standard, text) }))
      .filter(({ sound }) => sound.outcome === 'fail')
      .slice(0, 2);
  },
);

describe('a spoilt copy of a file', () => {
  it('says the same as the sound one, or is refused, or says what it could not show: no fail becomes a pass in silence', () => {
    expect(failing.length).toBeGreaterThan(3);
    const seen = new Set<string>();
    for (let seed = 1; seed <= 80; seed++) {
      const { standard, text, sound } = failing[seed % failing.length]!;
      const { how, text: bad } = spoilt(text, seed);
      seen.add(how);
      const came = cameOf(standard, bad);
      const told = [how, seed, came.outcome, came.said];
      if (sayTheSame.has(how)) expect([how, came.outcome, came.marks]).toEqual([how, sound.outcome, sound.marks]);
      if (came.outcome === 'pass') expect(told).toEqual([how, seed, 'pass', true]);
    }
    expect(seen.size).toBeGreaterThan(Object.keys(spoils).length - 3);
  });
});

describe('a file', () => {
  const head = 'at_ms,speed_kmh,line,gear';

  it('is read by what each column holds, however it is written', () => {
    const sound = [
      { at: 0, speed: 1.5, line: true, gear: 'R' },
      { at: 50, speed: -2, line: false, gear: 'D' },
    ];
    expect(samplesOf(`${head}\n0,1.5,1,R\n50,-2,0,D`)).toEqual(sound);
    expect(samplesOf(`${head}\n0,1.5,true,r\n50,-2,No,d`)).toEqual(sound);
    expect(samplesOf(`${head}\n0,"1,5",yes,R\n50,-2,false,D`)).toEqual(sound);
    expect(samplesOf(`${head.replaceAll(',', ';')}\n0;1,5;1;R\n50;-2,0;0;D`)).toEqual(sound);
    expect(samplesOf(`${head.replaceAll(',', '\t')}\n0\t1.5\t1\tR\n50\t-2\t0\tD`)).toEqual(sound);
  });

  it('with anything that cannot be read is refused, by column, number and first row', () => {
    expect(problemOf(`${head}\n0,1.5,1,R\n50,fast,maybe,R\n100,2,perhaps,R`)).toEqual({
      code: 'unreadable',
      columns: [
        { column: 'speed_kmh', count: 1, of: 3, row: 3, value: 'fast' },
        { column: 'line', count: 2, of: 3, row: 3, value: 'maybe' },
      ],
    });
  });

  it.each([
    ['what no car drives', '0,300,1,R'],
    ['a number with a unit', '0,5 km/h,1,R'],
    ['a comma beside points', '0,"1,5",1,R\n50,1.5,1,R'],
    ['a gear of no box', '0,1,1,X'],
  ])('with %s is refused', (_, rows) => {
    expect(problemOf(`${head}\n${rows}`)).toMatchObject({ code: 'unreadable' });
  });

  it('of an exercise that there is not is refused where it is known what there is', () => {
    const text = 'at_ms,zone\n0,slope\n50,nowhere\n100,';
    const problem = { code: 'unreadable', columns: [{ column: 'zone', count: 1, of: 3, row: 3, value: 'nowhere' }] };
    expect(readRunCsv(text, { zones: new Set(['slope']) })).toEqual({ problem });
    expect(samplesOf(text)).toHaveLength(3);
  });

  it('whose times are of another unit is refused', () => {
    const rows = (step: number) => Array.from({ length: 40 }, (_, i) => `${i * step},5`).join('\n');
    expect(problemOf(`at_ms,speed_kmh\n${rows(0.05)}`)).toEqual({ code: 'times', seconds: expect.closeTo(0.00195) });
    expect(problemOf(`at_ms,speed_kmh\n${rows(5e6)}`)).toMatchObject({ code: 'times' });
    expect(problemOf(`at_ms,speed_kmh\n${rows(50)}`)).toBeUndefined();
  });

  it('with a row of other fields, or a column twice, is refused', () => {
    expect(problemOf(`${head}\n0,1,1,R\n50,1,1`)).toEqual({ code: 'torn', row: 3 });
    expect(problemOf(`${head},line\n0,1,1,R,0`)).toEqual({ code: 'twice', column: 'line' });
  });

  it('without a column, or with an empty one, says which faults cannot be seen', () => {
    const read = readRunCsv('at_ms,speed_kmh,line\n0,1,\n50,1,');
    const missing = 'run' in read ? read.run.missing : [];
    expect(missing).toEqual(expect.arrayContaining(['line', 'pole', 'zone']));
    expect(missing).not.toContain('speed');
    const names = unseenWithout(timed, ['line']).map(({ sensors }) => sensors);
    expect(names.length).toBeGreaterThan(0);
    expect(names.every((signs) => signs?.includes('line'))).toBe(true);
    expect(unseenWithout(timed, [])).toEqual([]);
  });
});

it('rows of a run as they are sent leave out what cannot be read, and keep the rest of their sample', () => {
  expect(readFeedRows('at_ms,speed_kmh,line', ['0,fast,1', '50,3,maybe', ',4,0'])).toEqual([
    { at: 0, line: true },
    { at: 50, speed: 3 },
    { speed: 4, line: false },
  ]);
});
