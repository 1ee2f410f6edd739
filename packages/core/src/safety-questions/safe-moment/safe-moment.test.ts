import fc from 'fast-check';
import { generateScenario } from './generate';
import { hazardsAt, judgeMoment } from './judge-moment';
import { actS, type Scenario } from './road';
import { writtenScenarios } from './written';

const levels = [1, 2, 3] as const;
const seeds = Array.from({ length: 1000 }, (_, i) => i);

describe('stretches made from a seed', () => {
  it.each(levels)('are judged at level %d as their windows say, over 1,000 seeds', (level) => {
    const wrong: string[] = [];
    for (const seed of seeds) {
      const { scenario, safe } = generateScenario(seed, level);
      for (let atS = 0; atS + actS <= scenario.durationS; atS += 0.37) {
        // The judge looks every tenth of a second: within that of an edge both answers are right.
        const inside = (slack: number) =>
          safe.some(({ fromS, toS }) => atS >= fromS - slack && atS + actS <= toS + slack);
        if (inside(0.11) !== inside(-0.11)) continue;
        if (inside(0) !== (hazardsAt(scenario, atS).length === 0)) wrong.push(`${scenario.id} at ${atS.toFixed(2)} s`);
      }
    }
    expect(wrong).toEqual([]);
  });

  it.each(levels)('fail at level %d whoever always acts at once, in most cases', (level) => {
    const good = seeds.filter(
      (seed) => judgeMoment(generateScenario(seed, level).scenario, { looksS: [0], actAtS: 0 }).outcome === 'good',
    );
    expect(good.length).toBeLessThan(300);
    expect(good.length).toBeGreaterThan(0);
  });

  it('have a safe moment, and the same seed the same stretch', () => {
    for (const seed of seeds) {
      const { scenario } = generateScenario(seed, 2);
      expect(judgeMoment(scenario, { looksS: [], actAtS: undefined }).safeAtS).toBeDefined();
    }
    expect(generateScenario(7, 3)).toEqual(generateScenario(7, 3));
  });
});

describe('stretches written by hand', () => {
  it('are a dozen at least, each with an id of its own, a safe moment and an unsafe one', () => {
    expect(new Set(writtenScenarios.map(({ id }) => id)).size).toBeGreaterThanOrEqual(12);
    for (const scenario of writtenScenarios) {
      expect(judgeMoment(scenario, { looksS: [], actAtS: undefined }).safeAtS).toBeDefined();
      const times = Array.from({ length: Math.floor((scenario.durationS - actS) * 2) }, (_, i) => i / 2);
      expect(times.some((atS) => hazardsAt(scenario, atS).length > 0)).toBe(true);
    }
  });
});

describe('the judge', () => {
  const road = (hazards: Scenario['hazards']): Scenario => ({
    id: 'x',
    title: 'x',
    level: 2,
    speedMps: 10,
    durationS: 30,
    hazards,
  });

  it('names what was in the way', () => {
    const scenario = road([{ kind: 'junction', atM: 60, lengthM: 10 }]);
    // At 10 m/s the junction is 5 s away at 1 s, left behind at 7 s, and done with at 8 s.
    expect(judgeMoment(scenario, { looksS: [1], actAtS: 2 })).toMatchObject({
      outcome: 'unsafe',
      hazards: ['junction'],
    });
    expect(judgeMoment(scenario, { looksS: [8], actAtS: 8.2 }).outcome).toBe('good');
    expect(judgeMoment(scenario, { looksS: [], actAtS: 8.2 }).outcome).toBe('not-looked');
    expect(judgeMoment(scenario, { looksS: [3], actAtS: 8.2 }).outcome).toBe('not-looked');
    expect(judgeMoment(scenario, { looksS: [], actAtS: undefined })).toMatchObject({ outcome: 'never', safeAtS: 8.1 });
  });

  it('counts what would come into the way before the control is done', () => {
    const scenario = road([{ kind: 'crossing', atM: 80, lengthM: 4 }]);
    // The crossing is 5 s away at 3 s: acting at 1.5 s runs into it, at 0.5 s it does not.
    expect(judgeMoment(scenario, { looksS: [0], actAtS: 1.5 }).outcome).toBe('unsafe');
    expect(judgeMoment(scenario, { looksS: [0], actAtS: 0.5 }).outcome).toBe('good');
  });

  it('never calls a moment safe that a further hazard did not make safe', () => {
    fc.assert(
      fc.property(fc.nat(5000), fc.nat(5000), fc.double({ min: 0, max: 28, noNaN: true }), (a, b, atS) => {
        const [one, other] = [generateScenario(a, 3).scenario, generateScenario(b, 3).scenario];
        const both = { ...one, hazards: [...one.hazards, ...other.hazards] };
        if (hazardsAt(both, atS).length === 0) expect(hazardsAt(one, atS)).toEqual([]);
      }),
    );
  });
});
