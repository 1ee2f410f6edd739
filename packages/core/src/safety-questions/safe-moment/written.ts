import { mpsPerMph } from '@jasperwren/motion/stopping/units';
import type { Hazard, Scenario } from './road';

const place = (kind: 'limit-change' | 'bend' | 'junction' | 'crossing', atM: number, lengthM = 8): Hazard => ({
  kind,
  atM,
  lengthM: kind === 'limit-change' ? 0 : lengthM,
});
const moving = (kind: 'large-vehicle' | 'cyclist' | 'overtaker', atM: number, speedMps: number): Hazard => ({
  kind,
  atM,
  speedMps,
});
const road = (
  id: string,
  title: string,
  level: Scenario['level'],
  mph: number,
  durationS: number,
  ...hazards: readonly Hazard[]
): Scenario => ({ id, title, level, speedMps: mph * mpsPerMph, durationS, hazards });

/** Stretches written by hand, the plain ones first. */
export const writtenScenarios: readonly Scenario[] = [
  road('village-street', 'A village street with a side road', 1, 20, 24, place('junction', 30), place('crossing', 160)),
  road('first-bend', 'A bend right after the start', 1, 30, 24, place('bend', 35, 60)),
  road(
    'new-limit',
    'The limit changes as you leave town',
    1,
    30,
    26,
    place('limit-change', 25),
    place('junction', 240),
  ),
  road('two-crossings', 'Two crossings by the shops', 1, 20, 28, place('crossing', 25), place('crossing', 180)),
  road('straight-then-bend', 'A straight, then a long bend', 1, 40, 24, place('bend', 260, 90)),
  road('cyclist', 'A cyclist ahead', 2, 30, 26, moving('cyclist', 45, 5)),
  road('overtaken', 'Somebody comes up fast from behind', 2, 40, 26, moving('overtaker', -60, 26)),
  road(
    'overtaken-twice',
    'Two cars overtake one after the other',
    2,
    40,
    30,
    moving('overtaker', -45, 24),
    moving('overtaker', -150, 26),
  ),
  road(
    'cyclist-junction',
    'A cyclist, and a side road behind',
    2,
    30,
    30,
    moving('cyclist', 50, 5),
    place('junction', 230),
  ),
  road(
    'behind-and-limit',
    'A new limit, and somebody pressing',
    2,
    50,
    26,
    place('limit-change', 50),
    moving('overtaker', -90, 32),
  ),
  road(
    'lorry-on-lane',
    'A large vehicle on a narrow lane',
    3,
    30,
    26,
    moving('large-vehicle', 110, -10),
    place('bend', 190, 50),
  ),
  road(
    'busy-street',
    'Crossing, cyclist and a car behind',
    3,
    20,
    30,
    place('crossing', 30),
    moving('cyclist', 60, 4.5),
    moving('overtaker', -150, 15),
  ),
  road(
    'lane-of-everything',
    'Bends, and a large vehicle between',
    3,
    40,
    32,
    place('bend', 40, 60),
    moving('large-vehicle', 320, -12),
    place('bend', 330, 70),
  ),
  road(
    'market-day',
    'Side roads and crossings in a row',
    3,
    20,
    34,
    place('junction', 28),
    place('crossing', 80),
    place('junction', 210),
    moving('cyclist', 110, 4),
  ),
];
