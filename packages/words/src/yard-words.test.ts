import { vehicleClasses } from '@jasperwren/motion/vehicle/classes';
import { timedYard } from '@jasperwren/core/marking/testing-standards';
import { bandBrings, bandWords } from './marking/bands';
import { detailWords } from './marking/detail';
import { spentSentence, t as yardPages } from './yard-pages';
import { resultWords, tightestWords } from './yard-history';
import { clockWords, csvProblem, foundSentence, leftOutSentence } from './yard-runs';
import { widthsSentence } from './motion-sentences';

const spent = { exercise: 'slope', standingMs: 0, forwardMs: 0, backwardMs: 0, unknownMs: 0 };

describe('a run in words', () => {
  it('says where the seconds went, and nothing of what took none', () => {
    expect(spentSentence({ ...spent, forwardMs: 12_400, backwardMs: 19_600, standingMs: 8_700 })).toBe(
      '12 s forwards, 20 s reversing, 9 s standing',
    );
    expect(spentSentence({ ...spent, unknownMs: 4200, forwardMs: 300 })).toBe('4 s without a signal');
    expect(spentSentence(spent)).toBe('');
  });

  it('says gaps and measurements with their units, and leaves the rest to others', () => {
    expect(foundSentence({ kind: 'gap', at: 64_000, to: 68_200 })).toBe('No signal for 4.2 s from 1:04: not judged.');
    expect(foundSentence({ kind: 'fact', at: 0, fact: 'reaction', value: 0.456 })).toBe('Reaction time 0.46 s.');
    expect(foundSentence({ kind: 'fact', at: 0, fact: 'stopping-distance', value: 3.52 })).toBe(
      'Stopped 3.5 m after the brake was pressed.',
    );
    expect(foundSentence({ kind: 'car-left', at: 0 })).toBe('');
  });

  it('lists what was left out, one and many', () => {
    expect(leftOutSentence({ untimed: 0, doubled: 0, late: 0 })).toBe('');
    expect(leftOutSentence({ untimed: 1, doubled: 0, late: 0 })).toBe('Left out: 1 sample with no usable time.');
    expect(leftOutSentence({ untimed: 0, doubled: 2, late: 1 })).toBe(
      'Left out: 2 samples that were sent twice and 1 sample that came too late.',
    );
  });

  it('says why a file holds no run', () => {
    expect(csvProblem({ code: 'empty' })).toBe('The file has no samples.');
    expect(csvProblem({ code: 'too-many', most: 200_000 })).toContain('more than 200,000 samples');
    expect(csvProblem({ code: 'torn', row: 7 })).toContain('Row 7');
    expect(csvProblem({ code: 'too-large', mostMb: 20 })).toContain('larger than 20 MB');
    expect(csvProblem({ code: 'no-times' })).toContain('“at_ms”');
    expect(csvProblem({ code: 'no-channels' })).toContain('no column with sensor values');
  });

  it('writes times and counts', () => {
    expect([0, 59_999, 60_000, 605_000].map(clockWords)).toEqual(['0:00', '0:59', '1:00', '10:05']);
    expect([yardPages('samples', { count: 1 }), yardPages('samples', { count: 1164 })]).toEqual([
      '1 sample',
      '1,164 samples',
    ]);
  });
});

describe('bands in words', () => {
  const provenance = { kind: 'common-practice' } as const;
  const band = (bounds: object) => ({ grade: 'demerit', provenance, ...bounds }) as never;

  it('name their bounds, or none', () => {
    expect(bandWords(band({ over: 15, below: 30 }), 'cm')).toBe('over 15 and below 30 cm');
    expect(bandWords(band({ atLeast: 30 }), 'cm')).toBe('30 cm or more');
    expect(bandWords(band({ atLeast: 20, below: 30 }), 'km/h')).toBe('20 or more and below 30 km/h');
    expect(bandWords(band({}), 'rpm')).toBe('any rpm');
  });

  it('say what they bring in the words of the standard, or its code where it has none', () => {
    expect(bandBrings(timedYard, band({ over: 15 }), 'cm')).toBe('over 15 cm: demerit');
    expect(bandBrings({ grades: [] }, band({ over: 15 }), 'cm')).toBe('over 15 cm: demerit');
    expect(bandBrings(timedYard, { ...(band({ over: 3000 }) as object), grade: 'fail' } as never, 'rpm')).toBe(
      'over 3000 rpm: failing error',
    );
  });
});

describe('what a result rests on, in words', () => {
  it('is what was used of a limit, or that there was nothing', () => {
    expect(detailWords({ outcome: 'pass', spent: undefined } as never)).toBe('no faults');
    expect(detailWords({ outcome: 'pass', spent: { kind: 'score', left: 86, start: 100, needed: 80 } } as never)).toBe(
      '86 of 100 points (80 needed)',
    );
  });

  it('is every limit that was crossed, times and scores by their own measure', () => {
    expect(
      detailWords({
        outcome: 'fail',
        stops: [],
        crossed: [
          { kind: 'time', usedS: 1250, limitS: 1200 },
          { kind: 'score', left: 72, needed: 80 },
        ],
      } as never),
    ).toMatch(/^over the time limit \(20 min 50 s of 20 min\).* and 72 points \(80 needed\)$/);
  });
});

describe('how many movements a road of some width takes, in words', () => {
  it('is the narrowest that works, and from which width so many movements do', () => {
    const widths = [
      [4.5, null],
      [5, 7],
      [5.5, 5],
      [6.5, 3],
      [8, 3],
      [9, 2],
      [12, 1],
      [14, 1],
    ] as const;
    expect(
      widthsSentence(
        widths.map(([widthM, movements]) => ({ widthM, movements })),
        9,
        {},
      ),
    ).toBe(
      'Narrower than 5 m: not in 9 movements. In 3 movements from 6.5 m. In 2 movements from 9 m. In 1 movement from 12 m.',
    );
  });

  it('claims of a trailer no more than was looked for', () => {
    const found = [{ widthM: 15, movements: 3 }];
    expect(widthsSentence(found, 9, vehicleClasses['car-with-trailer'])).toBe(
      'Narrower than 15 m: no way was found. In 3 movements from 15 m.',
    );
  });

  it('says nothing where nothing is known', () => {
    expect(widthsSentence([], 9, {})).toBe('');
    expect(widthsSentence([{ widthM: 4, movements: null }], 9, {})).toBe('');
  });
});

describe('the exercises of a learner in words', () => {
  const slope = { exercise: 'slope', name: 'Slope', passed: true, timeMs: 71_200 };

  it('are the time with what was left of it, what was used up, and the movements', () => {
    expect(resultWords({ ...slope, allowedS: 90, used: 2, allowed: 5, movements: 3 })).toBe(
      '1:11 (18 s left), faults 2 of 5, 3 movements',
    );
    expect(resultWords({ ...slope, allowedS: 60, movements: 1 })).toBe('1:11 (12 s over), 1 movement');
    expect(resultWords(slope)).toBe('1:11');
  });

  it('name the one that is tightest for time, where it has one', () => {
    expect(tightestWords({ ...slope, allowedS: 90 })).toBe('Tightest for time: Slope, 72 of 90 s last time.');
    expect(tightestWords(slope)).toBe('');
  });
});
