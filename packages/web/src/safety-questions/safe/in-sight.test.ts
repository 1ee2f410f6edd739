import type { Scenario } from '@jasperwren/core/safety-questions/safe-moment/road';
import { inSight } from './in-sight';

const road = (level: Scenario['level'], hazards: Scenario['hazards']): Scenario => ({
  id: 'x',
  title: 'x',
  level,
  speedMps: 10,
  durationS: 20,
  hazards,
});

describe('what is in sight, in words', () => {
  it('names what is ahead with its distance, and what is being passed', () => {
    const scenario = road(1, [
      { kind: 'crossing', atM: 84, lengthM: 6 },
      { kind: 'bend', atM: 5, lengthM: 60 },
    ]);
    expect(inSight(scenario, 0, false)).toBe('Ahead: a crossing in 80 m; a bend in 10 m.');
    expect(inSight(scenario, 2, false)).toBe('Ahead: a crossing in 60 m; a bend, now.');
    expect(inSight(scenario, 19, false)).toBe('Clear ahead.');
  });

  it('tells of somebody behind only who looks, save where all is in sight', () => {
    const behind = [{ kind: 'overtaker', atM: -42, speedMps: 12 }] as const;
    expect(inSight(road(2, behind), 0, false)).toBe('Clear ahead.');
    expect(inSight(road(2, behind), 0, true)).toBe('Ahead: a faster car 40 m behind.');
    expect(inSight(road(1, behind), 0, false)).toBe('Ahead: a faster car 40 m behind.');
  });
});
