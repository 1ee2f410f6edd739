import { layOut } from '@jasperwren/motion/layout/exercises';
import { standing } from '@jasperwren/motion/moves/roll';
import { driveSteps } from '@jasperwren/motion/moves/steps';
import { usualPlanOptions, type FoundPlan } from '@jasperwren/motion/planner/plan';
import { planExercise } from '@jasperwren/motion/planner/plan-exercise';
import { vehicleClasses } from '@jasperwren/motion/vehicle/classes';
import { attemptsYard, timedYard } from '../marking/testing-standards';
import { benchExercise, exerciseDriven, samplesOfDrive } from './driven';
import { runTracks } from './run-tracks';
import type { Sample } from './sample';
import { csvHead, csvRows, readRunCsv } from './telemetry-csv';

const { car } = vehicleClasses;
const spec = { code: 'bay-reverse', side: 'right', space: {} } as const;
const layout = layOut(spec, car);
const exercise = exerciseDriven(timedYard, spec)!;
const { steps } = planExercise(car, spec, usualPlanOptions) as FoundPlan;
const way = driveSteps(car, standing(layout.start), steps, 0.1);
const samples = samplesOfDrive(
  car,
  layout,
  exercise,
  way.map((placed, i) => ({ atMs: i * 100, placed, speedMps: -0.9, touching: [] })),
);

it('lays a run on the ground as it was driven, also through a file', () => {
  const read = readRunCsv([csvHead, ...csvRows(samples)].join('\n'));
  if (!('run' in read)) throw new Error('no run');
  const tracks = runTracks(car, layout.start, read.run.samples as readonly Sample[], exercise.code);
  const [end, driven] = [tracks.at(-1)!.placed, way.at(-1)!];
  expect(end.pose.x).toBeCloseTo(driven.pose.x, 2);
  expect(end.pose.y).toBeCloseTo(driven.pose.y, 2);
  expect(end.pose.heading).toBeCloseTo(driven.pose.heading, 2);
  expect(tracks.at(-1)!.wayM).toBeCloseTo(driven.wayM, 0);
});

it('lets a trailer follow its car, though no sensor tells where it is', () => {
  const towing = vehicleClasses['car-with-trailer'];
  const dock = { code: 'alley-dock', side: 'right', space: {} } as const;
  const ground = layOut(dock, towing);
  const plan = planExercise(towing, dock, usualPlanOptions) as FoundPlan;
  const towed = driveSteps(towing, standing(ground.start), plan.steps, 0.05);
  const told = samplesOfDrive(
    towing,
    ground,
    exercise,
    towed.map((placed, i) => ({ atMs: i * 100, placed, speedMps: -0.9, touching: [] })),
  );
  const tracks = runTracks(towing, ground.start, told, exercise.code);
  const most = Math.max(...towed.map(({ hitch }) => Math.abs(hitch)));
  expect(most).toBeGreaterThan(0.5);
  expect(Math.max(...tracks.map(({ placed }) => Math.abs(placed.hitch)))).toBeCloseTo(most, 1);
  for (const { placed, wayM } of tracks.filter((one) => one.wayM < 12)) {
    const driven = towed.findLast((one) => one.wayM <= wayM + 0.03)!;
    expect(Math.abs(placed.hitch - driven.hitch)).toBeLessThan(0.1);
  }
});

it('lays it the same wherever the yard measures its positions from', () => {
  const angle = 1.1;
  const [c, s] = [Math.cos(angle), Math.sin(angle)];
  const elsewhere = samples.map((sample) => ({
    ...sample,
    x: 40 + sample.x! * c - sample.y! * s,
    y: -7 + sample.x! * s + sample.y! * c,
    heading: sample.heading! + (angle * 180) / Math.PI,
  }));
  const [one, other] = [samples, elsewhere].map((all) => runTracks(car, layout.start, all, exercise.code));
  expect(other).toHaveLength(one!.length);
  other!.forEach(({ placed }, i) => {
    expect(placed.pose.x).toBeCloseTo(one![i]!.placed.pose.x, 6);
    expect(placed.pose.y).toBeCloseTo(one![i]!.placed.pose.y, 6);
  });
});

it('says nothing of another exercise, or where no position was sent', () => {
  expect(runTracks(car, layout.start, samples, 'slope')).toEqual([]);
  const blind = samples.map(({ at, zone = '' }) => ({ at, zone }));
  expect(runTracks(car, layout.start, blind, exercise.code)).toEqual([]);
});

it('knows which exercise of the bench an exercise of a course is', () => {
  const code = (of: typeof timedYard, own: string) => benchExercise(of.exercises.find((one) => one.code === own)!);
  expect(code(timedYard, 'garage-bay')?.code).toBe('bay-reverse');
  expect(code(timedYard, 'angle-bay')?.code).toBe('angle-bay');
  expect(code(timedYard, 'parallel-bay')?.code).toBe('parallel');
  for (const one of attemptsYard.exercises) {
    const found = benchExercise(one);
    if (found) expect(exerciseDriven(attemptsYard, found)?.manoeuvre).toBe(one.manoeuvre);
  }
});
