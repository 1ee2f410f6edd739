import type { ReadinessInput } from '@jasperwren/contract/readiness';
import { tally } from '@jasperwren/core/marking/testing-standards';
import { defaultAssumptions } from '@jasperwren/core/readiness/assumptions';
import { estimate } from '@jasperwren/core/readiness/estimate';
import { questionOf } from './question';

const on = new Date('2026-06-01T12:00:00Z');
const input: ReadinessInput = {
  evidence: [],
  results: [],
  school: {
    assumptions: { ...defaultAssumptions, outright: 12 },
    errors: {},
    counted: [['signs.lights', 1]],
    outright: [['signs.lights', 1]],
    markers: [],
    learners: 40,
    drives: 200,
  },
  questions: 0.7,
};

describe('the question about a learner', () => {
  it('starts from the school’s own figures', () => {
    const own = estimate(questionOf(input, tally, on));
    expect(own.school).toEqual({ learners: 40, drives: 200 });
    // Twelve failing faults a test: hardly anybody passes.
    expect(own.chance.mean).toBeLessThan(0.15);
  });

  it('starts from what somebody tries instead', () => {
    const tried = estimate(questionOf(input, tally, on, { ...input.school.assumptions, outright: 0.1 }));
    expect(tried.chance.mean).toBeGreaterThan(0.6);
  });
});
