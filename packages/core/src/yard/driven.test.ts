import { layOut } from '@jasperwren/motion/layout/exercises';
import { driveBench, startBench, type BenchDrive, type Hands } from '@jasperwren/motion/moves/bench';
import { vehicleClasses } from '@jasperwren/motion/vehicle/classes';
import { attemptsYard, tally, timedYard as timed } from '../marking/testing-standards';
import { exerciseDriven, samplesOfDrive, type DrivenMoment } from './driven';
import { judgeRun } from './judge-run';

const car = vehicleClasses.car;
const spec = { code: 'bay-reverse' as const, side: 'right' as const, space: {} };
const layout = layOut(spec, car);

/** What a hand does, one after another, each for some milliseconds. */
function drive(...hands: readonly (readonly [Hands, number])[]): readonly DrivenMoment[] {
  let now: BenchDrive = startBench(car, layout);
  const moments: DrivenMoment[] = [];
  for (const [hand, ms] of hands)
    for (let at = 0; at < ms; at += 50) {
      now = driveBench(car, layout, now, hand, 50);
      const touching = now.touching.map(({ kind }) => kind);
      moments.push({ atMs: now.atMs, placed: now.placed, speedMps: now.speedMps, touching });
    }
  return moments;
}

const back: Hands = { roll: -1, turn: 0 };
const stand: Hands = { roll: 0, turn: 0 };
const right: Hands = { roll: 0, turn: -1 };

function faults(moments: readonly DrivenMoment[]): readonly string[] {
  const samples = samplesOfDrive(car, layout, exerciseDriven(timed, { ...spec, code: 'bay-reverse' })!, moments);
  const facts = { run: 'bench', learnerId: 'bench', startedAt: new Date(0).toISOString(), by: 'bench' };
  return judgeRun(timed, samples, facts)!.drive.marks.map(({ item }) => item);
}

it('knows the exercise of a course by what the car does, and parallel bays from others', () => {
  expect(exerciseDriven(timed, { ...spec, code: 'bay-reverse' })?.code).toBe('garage-bay');
  expect(exerciseDriven(timed, { ...spec, code: 'parallel' })?.code).toBe('parallel-bay');
  expect(exerciseDriven(timed, { ...spec, code: 'angle-bay' })?.code).toBe('angle-bay');
  expect(exerciseDriven(attemptsYard, { ...spec, code: 'turn-in-road' })?.manoeuvre).toBe('turn');
  expect(exerciseDriven(attemptsYard, spec)?.side).toBe('right');
  expect(exerciseDriven(attemptsYard, { ...spec, side: 'left' })?.side).toBe('left');
  expect(exerciseDriven(tally, { ...spec, code: 'bay-reverse' })).toBeUndefined();
  expect(exerciseDriven(timed, { ...spec, code: 'straight-reverse' })).toBeUndefined();
});

it('has the wheel turned standing still marked as dry steering, and not where it is turned rolling', () => {
  const standing = faults(drive([back, 1000], [stand, 1500], [right, 800], [back, 800]));
  expect(standing).toContain('garage-bay.dry');
  expect(faults(drive([back, 800], [{ roll: -1, turn: -1 }, 900], [stand, 1200]))).not.toContain('garage-bay.dry');
});

it('has a line that is driven on marked', () => {
  const onLine = faults(drive([{ roll: -1, turn: -1 }, 9000], [stand, 1500]));
  expect(onLine.some((item) => item === 'garage-bay.line')).toBe(true);
});

it('says how much of the car is in the bay', () => {
  const exercise = exerciseDriven(timed, { ...spec, code: 'bay-reverse' })!;
  const at = (x: number, y: number, heading: number) =>
    samplesOfDrive(car, layout, exercise, [
      { atMs: 0, placed: { pose: { x, y, heading }, steerDeg: 0, hitch: 0 }, speedMps: 0, touching: [] },
    ])[0]!.inside;
  expect(at(5, 4, 0)).toBe(0);
  const { goal } = layout;
  const parked = goal.kind === 'poses' ? goal.poses[0]! : layout.start;
  expect(at(parked.x, parked.y, parked.heading)).toBeCloseTo(1, 9);
  // Half of its 4.05 m.
  expect(at(0, -(4.05 / 2) + 0.65, Math.PI / 2)).toBeCloseTo(0.5, 9);
});
