// npm run calibration [LEARNERS] [SEED] [PART OF A LAW,ANOTHER]: how the estimate does on populations of learners whose true chance is known.
import { tally } from '../packages/core/src/marking/testing-standards';
import { measureCalibration } from '../packages/core/src/readiness/testing-calibration';
import { laws } from '../packages/core/src/readiness/testing-populations';

const learners = Number(process.argv[2] ?? 1500);
const seed = Number(process.argv[3] ?? 11);
const points = (share: number) => `${share < 0 ? '' : '+'}${(100 * share).toFixed(1)}`;
console.log(
  `${tally.name}, ${learners} learners each, seed ${seed}. Expected Brier scores above that of knowing the truth; bias in points.`,
);
const asked = (process.argv[4] ?? '').split(',');
for (const law of laws.filter(({ name }) => asked.some((part) => name.includes(part)))) {
  const began = Date.now();
  const one = measureCalibration(tally, law, learners, seed);
  const { counted, outright, levelSpread, power, ownShape, fallLesson, fallsFor, fallWeek, form, knownRoads } =
    one.school.assumptions;
  console.log(
    [
      law.name.padEnd(34),
      `estimate ${one.shipped.toFixed(4)}, floor ${one.floor.toFixed(4)}, above it ${(one.shipped - one.floor).toFixed(4)}`,
      `share of mocks ${one.share.toFixed(3)}, last ${one.last.toFixed(3)}`,
      `coverage ${(100 * one.coverage).toFixed(1)} %, width ${(100 * one.width).toFixed(0)}`,
      `bias ${points(one.bias)} (${one.biasByDrives.map(points).join(', ')})`,
      `fitted ${[counted, outright, levelSpread, power, ownShape, fallLesson, fallsFor, fallWeek, form, knownRoads].map((n) => n.toFixed(3)).join(' ')} factors ${[...one.school.markers.values(), ...one.school.centres.values(), ...one.school.realTests.values()].map(({ factor }) => factor.toFixed(2)).join(' ')}`,
      `${((Date.now() - began) / 1000).toFixed(0)} s`,
    ].join('; '),
  );
}
