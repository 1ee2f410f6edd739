import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import type { Sample } from './sample';

/** Milliseconds between two samples. */
export const sampleMs = 50;

type Changes = Partial<Omit<Sample, 'at'>>;

/** A car that does what it is told, and says so 20 times a second. */
export interface SimulatedCar {
  readonly samples: readonly Sample[];
  /** Changes what its sensors say from here on. */
  readonly set: (changes: Changes) => void;
  /** Lets time pass, with the given channels going evenly to where they shall be at its end. */
  readonly go: (ms: number, to?: Partial<Record<'speed' | 'rpm' | 'steering' | 'inside' | 'rollBack', number>>) => void;
  /** Lets two samples pass that say exactly this. */
  readonly show: (exactly: Changes) => void;
  /** A number from 0 to 1, the same for the same seed. */
  readonly random: () => number;
}

/** A car that stands with its engine running, belt fastened and doors shut; its sensors waver a little. */
export function startSimulatedCar(seed: number): SimulatedCar {
  const generator = xoroshiro128plus(seed);
  const random = () => uniformFloat64(generator);
  // The first numbers of neighbouring seeds are alike.
  for (let i = 0; i < 16; i++) random();
  const samples: Sample[] = [];
  let state: Required<Omit<Sample, 'at' | 'heading'>> = {
    speed: 0,
    rpm: 850,
    gear: 'N',
    clutch: 0,
    brake: 0,
    parkingBrake: true,
    steering: 0,
    indicator: 'off',
    belt: true,
    door: false,
    engine: true,
    rollBack: 0,
    x: 0,
    y: 0,
    zone: '',
    inside: 0,
    line: false,
    pole: false,
    tone: false,
  };
  const waver = (most: number) => (random() * 2 - 1) * most;
  const rounded = (value: number, digits: number) => Math.round(value * 10 ** digits) / 10 ** digits;

  function sample(exact = false): void {
    const { speed, rpm, steering, engine } = state;
    if (exact) {
      samples.push({ at: samples.length * sampleMs, ...state });
      return;
    }
    samples.push({
      at: samples.length * sampleMs,
      ...state,
      // A wheel that stands says 0.
      speed: speed === 0 ? 0 : rounded(speed + waver(0.05), 2),
      rpm: engine ? rounded(rpm + waver(10), 0) : 0,
      steering: rounded(steering + waver(1), 1),
      inside: rounded(state.inside, 3),
      rollBack: rounded(state.rollBack, 2),
      x: rounded(state.x, 2),
    });
  }

  return {
    samples,
    random,
    set(changes) {
      state = { ...state, ...changes };
    },
    show(exactly) {
      state = { ...state, ...exactly };
      sample(true);
      sample(true);
    },
    go(ms, to = {}) {
      const steps = Math.max(1, Math.round(ms / sampleMs));
      const from = state;
      for (let i = 1; i <= steps; i++) {
        const reached = Object.fromEntries(
          Object.entries(to).map(([name, value]) => {
            const begin = from[name as keyof typeof to];
            return [name, begin + ((value - begin) * i) / steps];
          }),
        );
        state = { ...state, ...reached };
        state = { ...state, x: state.x + (state.speed / 3.6) * (sampleMs / 1000) };
        sample();
      }
    },
  };
}
