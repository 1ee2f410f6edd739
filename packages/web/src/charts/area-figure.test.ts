import type { DriveSummary } from '@jasperwren/contract/drives';
import { tally } from '@jasperwren/core/marking/testing-standards';
import { areaFigure } from './area-figure';

const drive = (marks: Record<string, Record<string, number>>, phase: DriveSummary['phase'] = 'ended') =>
  ({
    phase,
    startedAt: '2026-05-04T09:00:00Z',
    standard: { id: 'tally', version: 1, name: 'Tally' },
    byArea: Object.entries(marks).map(([name, byGrade]) => ({
      category: name,
      name,
      byGrade,
      total: Object.values(byGrade).reduce((a, b) => a + b, 0),
    })),
  }) as unknown as DriveSummary;

describe('marks by area over drives', () => {
  it('puts the area with most marks first and colours by the gravest', () => {
    const figure = areaFigure(
      [drive({ Signals: { driving: 1 } }), drive({ Junctions: { driving: 2, serious: 1 } })],
      [tally],
      'Ada',
    );
    expect(figure.areas).toEqual(['Junctions', 'Signals']);
    expect(figure.drives).toHaveLength(2);
    expect(figure.dots[1]).toEqual({
      drive: 1,
      area: 'Junctions',
      count: 3,
      worst: 'outright',
      words: '2 driving faults, 1 serious fault',
    });
  });

  it('says what it shows', () => {
    const one = drive({ Signals: { driving: 1 } });
    const two = drive({ Signals: { driving: 2 } });
    expect(areaFigure([], [tally], 'Ada').sentence).toBe('Ada has not finished a mock test yet.');
    expect(areaFigure([drive({})], [tally], 'Ada').sentence).toBe('No faults in the only mock test.');
    expect(areaFigure([one, two], [tally], 'Ada').sentence).toBe('Most faults: signals, 3 in 2 mock tests.');
    expect(areaFigure([two, two, one, drive({}), one], [tally], 'Ada').sentence).toBe(
      'Most faults: signals, 6 in 5 mock tests, 2 of them in the last 3.',
    );
    expect(areaFigure([two, drive({}, 'running')], [tally], 'Ada').sentence).toBe(
      'Most faults: signals, 2 in 1 mock test.',
    );
  });
});
