// npm run calibration [LEARNERS]: how well the estimate is calibrated on learners whose true chance is known.
import { schoolsToMeasure, measureCalibration } from '../packages/core/src/readiness/testing-calibration';

const learners = Number(process.argv[2] ?? 500);
const percent = (share: number) => `${(100 * share).toFixed(1)} %`;
for (const improving of [false, true])
  for (const standard of schoolsToMeasure) {
    const result = measureCalibration(standard, learners, improving);
    console.log(
      [
        `${standard.name}, ${improving ? 'improving' : 'steady'}, ${learners} learners:`,
        `90 % intervals hold the truth ${percent(result.coverage)},`,
        `Brier ${result.brier.toFixed(4)} (knowing the truth ${result.best.toFixed(4)}, excess ${result.excess.toFixed(4)}),`,
        `share of mocks passed ${result.share.toFixed(4)},`,
        `mean width ${percent(result.width)}, bias ${(100 * result.bias).toFixed(1)} points`,
      ].join(' '),
    );
  }
