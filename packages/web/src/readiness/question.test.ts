import type { ReadinessInput } from '@jasperwren/contract/readiness';
import { tally, timedYard } from '@jasperwren/core/marking/testing-standards';
import { defaultAssumptions } from '@jasperwren/core/readiness/assumptions';
import type { KindFigures } from '@jasperwren/core/readiness/school-figures';
import { estimate } from '@jasperwren/core/readiness/estimate';
import { questionOf } from './question';

const figures: KindFigures = {
  assumptions: { ...defaultAssumptions, outright: 12 },
  errors: {},
  counted: [['signs.lights', 1]],
  outright: [['signs.lights', 1]],
  markers: [],
  standards: [['tally', { counted: 1, outright: 1, drives: 180 }]],
  centres: [],
  realTests: [],
  learners: 40,
  drives: 200,
};
const input: ReadinessInput = {
  evidence: [],
  results: [],
  on: '2026-06-01T23:59:59.000Z',
  lessons: [],
  sights: [],
  school: { road: figures, yard: { ...figures, learners: 3, drives: 9, standards: [] } },
  questions: 0.7,
};

describe('the question about a learner', () => {
  it('starts from the school’s own figures, of the kind of test', () => {
    const own = estimate(questionOf(input, tally));
    expect(own.school).toEqual({ learners: 40, drives: 200, underThis: 180 });
    // Twelve failing faults a test: hardly anybody passes.
    expect(own.chance.mean).toBeLessThan(0.15);
    expect(estimate(questionOf(input, timedYard)).school).toEqual({ learners: 3, drives: 9, underThis: 0 });
  });

  it('starts from what somebody tries instead', () => {
    const asked = questionOf(input, tally);
    const tried = estimate({ ...asked, assumptions: { ...asked.assumptions, outright: 0.1 } });
    expect(tried.chance.mean).toBeGreaterThan(0.6);
  });

  it('asks for the moment that the server says, whatever the clock of the device', () => {
    expect(questionOf(input, tally).on).toEqual(new Date('2026-06-01T23:59:59.000Z'));
  });
});
