import { reversingArea, timedYard } from '../marking/testing-standards';
import { startDetector } from './detector';
import type { Finding } from './findings';
import type { SentSample } from './sample';

/** Finds in samples 50 ms apart, each of which changes something of the one before. */
function found(changes: readonly (readonly [seconds: number, change: SentSample])[], standard = timedYard) {
  const detector = startDetector(standard);
  const findings: Finding[] = [];
  let at = 0;
  let state: SentSample = { speed: 0, engine: true, belt: true, door: false, gear: '1', parkingBrake: false, zone: '' };
  for (const [seconds, change] of changes) {
    state = { ...state, ...change };
    for (let i = 0; i < seconds * 20; i++) {
      findings.push(...detector.take({ ...state, at }));
      at += 50;
    }
  }
  return [...findings, ...detector.end()];
}
const kinds = (findings: readonly Finding[]) =>
  findings.map((one) =>
    one.kind === 'mark' ? one.item : one.kind === 'exercise' ? `start ${one.exercise}` : one.kind,
  );

it.each([
  ['slope', 'at the entry', {}, { zone: 'slope' }],
  ['angle-bay', 'with the right indicator', { zone: 'angle-bay' }, { indicator: 'right' }],
  ['garage-bay', 'with reverse gear', { zone: 'garage-bay' }, { gear: 'R' }],
] as const)('starts the clock of the %s %s', (exercise, _, before, trigger) => {
  const findings = found([
    [1, { speed: 5 }],
    [1, before],
    [1, trigger],
  ]);
  expect(findings).toContainEqual({ kind: 'exercise', at: 2000, exercise });
});

it('starts it as the car enters the bay where the trigger was forgotten, and not at all where it drives past', () => {
  expect(
    kinds(
      found([
        [1, { speed: 5 }],
        [1, { zone: 'angle-bay' }],
        [1, { inside: 0.2 }],
      ]),
    ),
  ).toEqual(['start angle-bay']);
  expect(
    kinds(
      found([
        [1, { speed: 5 }],
        [1, { zone: 'angle-bay' }],
        [1, { zone: '' }],
      ]),
    ),
  ).toEqual([]);
});

it('marks belt and door once each while the car is driven, and not before it has moved', () => {
  expect(
    kinds(
      found([
        [1, { belt: false, door: true }],
        [1, { belt: true, door: false, speed: 5 }],
      ]),
    ),
  ).toEqual([]);
  expect(
    kinds(
      found([
        [1, { speed: 5 }],
        [1, { belt: false }],
        [1, { belt: true }],
        [1, { belt: false, door: true }],
      ]),
    ),
  ).toEqual(['whole.belts', 'whole.belts', 'whole.doors']);
});

it('tells an engine that stalls from one that is switched off', () => {
  const driven = [1, { speed: 5 }] as const;
  expect(kinds(found([driven, [1, { speed: 0 }], [1, { engine: false }]]))).toEqual(['whole.stalled']);
  expect(kinds(found([driven, [1, { speed: 0, gear: 'N', parkingBrake: true }], [1, { engine: false }]]))).toEqual([]);
});

it('counts a wheel on a line once until it was off it for a second', () => {
  const zone = { zone: 'slope', speed: 5 } as const;
  const on = { line: true } as const;
  const off = { line: false } as const;
  expect(
    kinds(
      found([
        [1, zone],
        [0.3, on],
        [0.3, off],
        [0.3, on],
        [2, off],
        [0.3, on],
      ]),
    ),
  ).toEqual(['start slope', 'slope.line', 'slope.line']);
});

it('marks turning the wheel standing still once a standstill, and only beyond its threshold', () => {
  const stand = (steering: number) => [0.5, { speed: 0, steering }] as const;
  const roll = [0.5, { speed: 3 }] as const;
  const enter = [1, { zone: 'garage-bay', gear: 'R', speed: -3 }] as const;
  expect(kinds(found([enter, stand(0), stand(19)])).includes('garage-bay.dry')).toBe(false);
  const twice = kinds(found([enter, stand(0), stand(90), stand(180), roll, stand(180), stand(0)]));
  expect(twice.filter((one) => one === 'garage-bay.dry')).toHaveLength(2);
});

it('marks a pull-forward for each time the car goes forward again before it is parked', () => {
  const go = (speed: number, inside: number) =>
    [0.6, { speed, inside, zone: 'reverse', gear: speed < 0 ? 'R' : '1' }] as const;
  const findings = found([go(3, 0), go(-3, 0.1), go(3, 0.1), go(-3, 0.4), go(3, 0.3), go(-3, 1)], reversingArea);
  expect(kinds(findings).filter((one) => one === 'reverse.shunt')).toHaveLength(2);
});

it('judges nothing that no sensor tells', () => {
  const detector = startDetector(timedYard);
  const findings = Array.from({ length: 200 }, (_, i) =>
    detector.take({ at: 50 * i, zone: i > 100 ? 'brake' : '' }),
  ).flat();
  expect(kinds([...findings, ...detector.end()])).toEqual(['start brake']);
});
