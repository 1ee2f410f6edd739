import type { ReadinessInput } from '@jasperwren/contract/readiness';
import { tally } from '@jasperwren/core/marking/templates/tally';
import { defaultAssumptions } from '@jasperwren/core/readiness/assumptions';
import { estimate } from '@jasperwren/core/readiness/estimate';
import { questionOf } from './question';

const on = new Date('2026-06-01T12:00:00Z');
const input = (drives: number): ReadinessInput => ({
  evidence: [],
  results: [],
  prior: { counted: [['signs.lights', 20]], outright: [['signs.lights', 5]], drives },
  questions: 0.7,
});

describe('the question about a learner', () => {
  it('starts from the school’s own rates once it has some', () => {
    expect(questionOf(input(0), tally, on, defaultAssumptions).prior).toBeUndefined();
    expect(questionOf(input(40), tally, on, defaultAssumptions).prior).toMatchObject({ drives: 40 });
    const own = estimate(questionOf(input(40), tally, on, defaultAssumptions));
    expect(own.priorDrives).toBe(40);
    // Five faults that fail at once, a test: nobody passes.
    expect(own.chance.mean).toBeLessThan(0.1);
  });

  it('starts from what was set by hand where that was changed', () => {
    const changed = { ...defaultAssumptions, priorOutright: 0.1 };
    expect(questionOf(input(40), tally, on, changed).prior).toBeUndefined();
    expect(questionOf(input(40), tally, on, { ...defaultAssumptions, halfLifeDays: 60 }).prior).toBeDefined();
  });
});
