import type { SensorSign } from '../marking/standard';
import type { Exercise } from '../marking/exercise';
import type { SimulatedCar } from './simulated-car';

/** One thing that goes wrong in a simulated exercise; `value` where it is measured. */
export interface Slip {
  readonly sign: SensorSign;
  readonly value?: number;
}

/** How one exercise is driven. */
export interface ExercisePlan {
  readonly exercise: string;
  readonly slips: readonly Slip[];
  /** Seconds the car waits in it beyond what it needs. */
  readonly waitS?: number;
}

/** What the driving of an exercise needs to know. */
interface Way {
  readonly car: SimulatedCar;
  readonly exercise: Exercise;
  readonly automatic: boolean;
  readonly slip: (sign: SensorSign) => Slip | undefined;
  /** How often a sign is shown. */
  readonly times: (sign: SensorSign) => number;
  readonly waitMs: number;
}

/** Drives one exercise from the entry of its part of the yard to its exit. */
export function driveExercise(car: SimulatedCar, exercise: Exercise, plan: ExercisePlan, automatic: boolean): void {
  const way: Way = {
    car,
    exercise,
    automatic,
    slip: (sign) => plan.slips.find((one) => one.sign === sign),
    times: (sign) => plan.slips.filter((one) => one.sign === sign).length,
    waitMs: (plan.waitS ?? 0) * 1000,
  };
  car.set({ zone: exercise.code, gear: automatic ? 'D' : '1' });
  switch (exercise.manoeuvre) {
    case 'slope':
      driveSlope(way);
      break;
    case 'quick-stop':
      driveQuickStop(way);
      break;
    case 'bay-forward':
      driveIn(way);
      break;
    case 'turn':
      driveTurn(way);
      break;
    case 'corner':
      driveCorner(way);
      break;
    default:
      reverseIn(way);
  }
  car.set({ zone: '', indicator: 'off' });
  car.go(1500, { speed: 10, rpm: 1500, steering: 0, inside: 0 });
}

function stop({ car, automatic }: Way, ms = 1000): void {
  car.set({ brake: 0.4, clutch: automatic ? 0 : 1 });
  car.go(ms, { speed: 0, rpm: 850 });
}

function touch({ car, slip }: Way, sign: 'line' | 'pole'): void {
  if (!slip(sign)) return;
  car.set({ [sign]: true });
  car.go(300);
  car.set({ [sign]: false });
  car.go(200);
}

/** Releases the parking brake and sets off, or sets off with it on. */
function setOff(way: Way, speed: number, ms = 1200): void {
  const { car, slip } = way;
  car.set({ brake: 0, clutch: 0.3 });
  if (slip('brake-on')) {
    car.set({ parkingBrake: true });
    car.go(200);
    car.go(400, { speed: Math.sign(speed) * 2.5, rpm: 1500 });
  }
  car.set({ parkingBrake: false, clutch: 0 });
  car.go(ms, { speed, rpm: 1400 });
}

function driveCorner(way: Way): void {
  const { car, exercise } = way;
  car.set({ indicator: exercise.side ?? 'left' });
  car.go(1000, { speed: 12, rpm: 1500 });
  car.go(2500, { speed: 10, steering: exercise.side === 'right' ? 300 : -300 });
  touch(way, 'line');
  touch(way, 'pole');
  car.go(1000, { steering: 0 });
}

function driveSlope(way: Way): void {
  const { car, slip, waitMs } = way;
  car.go(1000, { speed: 8, rpm: 1600 });
  touch(way, 'line');
  stop(way);
  car.set({ parkingBrake: true });
  car.go(1500 + waitMs);
  const back = slip('roll-back');
  if (back) {
    car.set({ parkingBrake: false, brake: 0 });
    car.go(600, { speed: -1.5, rollBack: Math.max(0, back.value! - 1) });
    car.show({ rollBack: back.value! });
    car.go(200, { speed: 0 });
    car.set({ rollBack: 0 });
  }
  const revs = slip('revs');
  if (revs) {
    car.go(500, { rpm: revs.value! - 20 });
    car.show({ rpm: revs.value! });
    car.go(400, { rpm: 1500 });
  }
  setOff(way, 8);
}

function driveQuickStop(way: Way): void {
  const { car, slip, automatic } = way;
  const speed = slip('tone-speed')?.value ?? 25;
  car.go(2500, { speed, rpm: 2200 });
  touch(way, 'line');
  car.show({ tone: true, speed });
  car.go(slip('late-braking') ? 1600 : 400);
  if (slip('clutch-first')) {
    car.set({ clutch: 1 });
    car.go(200);
  }
  car.set({ brake: 0.9, tone: false });
  car.go(600, { speed: 10, rpm: 1300 });
  car.set({ clutch: automatic ? 0 : 1 });
  car.go(500, { speed: 0, rpm: 850 });
  car.set({ parkingBrake: true });
  car.go(1500 + way.waitMs);
  setOff(way, 10);
}

/** Parks where it stands, as far as the bay goes. */
function park(way: Way): void {
  const { car, slip, automatic, waitMs } = way;
  if (slip('early-brake')) {
    car.set({ parkingBrake: true });
    car.go(300);
  }
  stop(way, 400);
  car.set({ parkingBrake: true });
  if (slip('dry-steering')) car.go(600, { steering: 140 });
  car.set({ gear: automatic ? (slip('not-in-park') ? 'D' : 'P') : 'N', clutch: 0, brake: 0 });
  car.go(2500 + waitMs);
  car.set({ steering: 0 });
}

const inBay = ({ slip }: Way): number => (slip('parked-outside') ? 0.9 : 1);

function driveIn(way: Way): void {
  const { car, slip, automatic } = way;
  car.go(600, { speed: 6, rpm: 1200 });
  car.set({ indicator: 'right' });
  car.go(600, { steering: 200 });
  touch(way, 'line');
  touch(way, 'pole');
  if (slip('extra-reverse')) {
    car.go(900, { inside: 0.35, speed: 4 });
    stop(way, 500);
    car.set({ gear: 'R', clutch: 0, brake: 0 });
    car.go(900, { speed: -3, inside: 0.1 });
    stop(way, 500);
    car.set({ gear: automatic ? 'D' : '1', clutch: 0, brake: 0 });
    car.go(600, { speed: 4 });
  }
  car.go(1500, { speed: 3, inside: inBay(way), steering: 0 });
  park(way);
  car.set({ gear: 'R', indicator: 'off' });
  setOff(way, -4);
  car.go(1500, { inside: 0 });
  stop(way, 600);
  car.set({ gear: automatic ? 'D' : '1', clutch: 0, brake: 0 });
}

function reverseIn(way: Way): void {
  const { car, slip, times, automatic } = way;
  car.go(1500, { speed: 6, rpm: 1200 });
  stop(way, 700);
  car.set({ gear: 'R', brake: 0 });
  car.go(800);
  car.set({ clutch: 0 });
  car.go(500, { speed: -4, rpm: 1100 });
  car.go(700, { steering: 260 });
  touch(way, 'line');
  touch(way, 'pole');
  for (let i = 0; i < times('extra-reverse') + times('pull-forward'); i++) again(way, 0.35);
  if (slip('late-extra-reverse')) again(way, 0.7);
  car.go(2500, { speed: -3, inside: inBay(way), steering: 0 });
  park(way);
  car.set({ gear: automatic ? 'D' : '1' });
  setOff(way, 5);
  car.go(1200, { inside: 0 });
}

/** Reverses so far in, pulls forward and reverses once more. */
function again(way: Way, inside: number): void {
  const { car, automatic } = way;
  car.go(1000, { inside, speed: -3 });
  stop(way, 500);
  car.set({ gear: automatic ? 'D' : '1', clutch: 0, brake: 0 });
  car.go(900, { speed: 3, inside: Math.max(0, inside - 0.15) });
  stop(way, 500);
  car.set({ gear: 'R', clutch: 0, brake: 0 });
  car.go(600, { speed: -3 });
}

function driveTurn(way: Way): void {
  const { car, automatic, waitMs } = way;
  car.go(500, { speed: 4, rpm: 1200 });
  car.go(1000, { steering: 400 });
  touch(way, 'line');
  touch(way, 'pole');
  stop(way, 500);
  car.set({ gear: 'R', brake: 0, clutch: 0 });
  car.go(500, { speed: -3 });
  car.go(1200, { steering: -400 });
  stop(way, 500);
  if (way.slip('dry-steering')) car.go(600, { steering: -200 });
  car.set({ gear: automatic ? 'D' : '1', brake: 0, clutch: 0 });
  car.go(waitMs + 500, { speed: 5 });
  car.go(1000, { steering: 0 });
}
