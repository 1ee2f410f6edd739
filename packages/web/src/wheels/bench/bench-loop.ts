import type { Layout } from '@jasperwren/motion/layout/layout';
import { driveBench, startBench, type BenchDrive, type Hands } from '@jasperwren/motion/moves/bench';
import type { Vehicle } from '@jasperwren/motion/vehicle/vehicle';

/** One moment that is kept of a drive, twenty a second. */
const keepEveryMs = 50;
const calmMs = 200;
/** The first picture after a rest shows as much time as one frame takes. */
const frameMs = 16;

export interface BenchState {
  readonly drive: BenchDrive;
  /** The drive so far, from its start. */
  readonly kept: readonly BenchDrive[];
}

export interface BenchLoop {
  readonly state: () => BenchState;
  /** The state as it was at most a fifth of a second ago, and as it is once everything rests: for what need not move smoothly. */
  readonly calm: () => BenchState;
  readonly subscribe: (changed: () => void) => () => void;
  readonly roll: (roll: Hands['roll']) => void;
  readonly turn: (turn: Hands['turn']) => void;
  readonly again: () => void;
}

/** A vehicle that is driven by hand, frame by frame; time passes only while something moves. */
export function benchLoop(vehicle: Vehicle, layout: Layout): BenchLoop {
  const begun = (): BenchState => {
    const drive = startBench(vehicle, layout);
    return { drive, kept: [drive] };
  };
  const still: Hands = { roll: 0, turn: 0 };
  const listeners = new Set<() => void>();
  let [state, hands] = [begun(), still];
  let calm = state;
  let frame: number | undefined;
  let last = 0;

  function change(next: BenchState, rests: boolean): void {
    state = next;
    if (rests || next.drive.atMs - calm.drive.atMs >= calmMs) calm = next;
    for (const changed of listeners) changed();
  }

  function step(now: number): void {
    const { drive: before, kept } = state;
    const drive = driveBench(vehicle, layout, before, hands, now - last);
    last = now;
    const turns = drive.placed.steerDeg !== before.placed.steerDeg;
    const moves = hands.roll !== 0 || (typeof hands.turn === 'number' && hands.turn !== 0);
    const goesOn = moves || turns || drive.speedMps !== 0;
    frame = goesOn ? requestAnimationFrame(step) : undefined;
    change({ drive, kept: drive.atMs - kept.at(-1)!.atMs >= keepEveryMs ? [...kept, drive] : kept }, !goesOn);
  }

  function hold(changes: Partial<Hands>): void {
    hands = { ...hands, ...changes };
    frame ??= requestAnimationFrame((now) => {
      last = now - frameMs;
      step(now);
    });
  }

  return {
    state: () => state,
    calm: () => calm,
    subscribe(changed) {
      listeners.add(changed);
      return () => {
        listeners.delete(changed);
        if (listeners.size > 0 || frame === undefined) return;
        // Nobody looks any more: the car stands.
        cancelAnimationFrame(frame);
        frame = undefined;
        hands = still;
      };
    },
    roll: (roll) => hold({ roll }),
    turn: (turn) => hold({ turn }),
    again() {
      hands = still;
      change(begun(), true);
    },
  };
}
