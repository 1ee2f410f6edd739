import { standing } from '../moves/roll';
import { driveSteps, type Step } from '../moves/steps';
import { layOut } from '../layout/exercises';
import { usualPlanOptions, type FoundPlan } from '../planner/plan';
import { planExercise } from '../planner/plan-exercise';
import { vehicleClasses } from '../vehicle/classes';
import { endedByAngle } from './by-angle';

const towing = vehicleClasses['car-with-trailer'];
const spec = { code: 'alley-dock', side: 'right', space: {} } as const;
const layout = layOut(spec, towing);
const { steps } = planExercise(towing, spec, usualPlanOptions) as FoundPlan;
const ends = (of: readonly Step[]) => {
  const way = driveSteps(towing, standing(layout.start), of, Infinity);
  return of.map((_, i) => way.findLast(({ step }) => step === i)!);
};

it('drives what is left as planned where nothing is off', () => {
  const planned = ends(steps);
  const left = endedByAngle(towing, planned[0]!, steps.slice(1), planned)!;
  expect(left).toHaveLength(steps.length - 1);
  left.forEach(({ steerDeg, distanceM }, i) => {
    expect(steerDeg).toBeCloseTo(steps[i + 1]!.steerDeg, 6);
    expect(distanceM).toBeCloseTo(steps[i + 1]!.distanceM, 4);
  });
});

it.each([-0.1, -0.03, 0.03, 0.1])(
  'ends with the trailer in line and pointing as planned, the second step off by %d m',
  (offM) => {
    const planned = ends(steps);
    const off: Step = { ...steps[1]!, distanceM: steps[1]!.distanceM + offM };
    const after = endedByAngle(towing, ends([steps[0]!, off])[1]!, steps.slice(2), planned.slice(1))!;
    const end = driveSteps(towing, standing(layout.start), [steps[0]!, off, ...after], 0.02).at(-1)!;
    expect(end.hitch).toBeCloseTo(0, 3);
    expect(Math.abs(end.pose.heading - planned.at(-1)!.pose.heading)).toBeLessThan(0.08);
    // By metres alone the same slip ends far out of line.
    const byMetres = driveSteps(towing, standing(layout.start), [steps[0]!, off, ...steps.slice(2)], 0.02).at(-1)!;
    expect(Math.abs(byMetres.hitch)).toBeGreaterThan(Math.abs(end.hitch) + 0.05);
  },
);

it('gives up where the trailer has jack-knifed', () => {
  const planned = ends(steps);
  const folded = { ...planned[1]!, hitch: -1.5 };
  expect(endedByAngle(towing, folded, steps.slice(2), planned.slice(1))).toBeUndefined();
});
