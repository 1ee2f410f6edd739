import { timedYard } from '@jasperwren/core/marking/testing-standards';
import { stoppingAddress } from './stopping-address';

const samples = [
  { at: 0, speed: 3 },
  { at: 1000, speed: 27.4 },
  { at: 1500, speed: -12 },
  { at: 2000, speed: 'fast' },
  { at: 9000, speed: 60 },
];
const itemWith = (sign: string) =>
  timedYard.categories.flatMap(({ items }) => items).find(({ sensors }) => sensors?.some((one) => one === sign))!.code;
const detected = { run: 'run', fromMs: 500, toMs: 3000 };

it('explains a fault of braking by the highest speed around it', () => {
  expect(stoppingAddress(timedYard, { item: itemWith('clutch-first'), detected }, samples)).toEqual({
    kmh: 27,
    address: '/yard/stopping?unit=kmh&speed=27&clutch=0.5',
  });
  expect(stoppingAddress(timedYard, { item: itemWith('speed'), detected }, samples)?.address).not.toContain('clutch');
});

it('explains no other fault, none that a person marked, and none without a speed', () => {
  expect(stoppingAddress(timedYard, { item: itemWith('belt'), detected }, samples)).toBeUndefined();
  expect(stoppingAddress(timedYard, { item: itemWith('speed') }, samples)).toBeUndefined();
  const before = { ...detected, fromMs: 0, toMs: 400 };
  expect(stoppingAddress(timedYard, { item: itemWith('speed'), detected: before }, samples)).toBeUndefined();
});
