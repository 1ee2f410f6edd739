import type { Layout } from '@jasperwren/motion/layout/layout';
import { driveBench, startBench, wheelLockDeg, type BenchDrive, type Hands } from '@jasperwren/motion/moves/bench';
import type { Vehicle } from '@jasperwren/motion/vehicle/vehicle';
import { useCallback, useEffect, useRef, useState } from 'react';

/** One moment that is kept of a drive, twenty a second. */
const keepEveryMs = 50;

export interface Bench {
  readonly drive: BenchDrive;
  /** The drive so far, from its start. */
  readonly kept: readonly BenchDrive[];
  readonly roll: (roll: Hands['roll']) => void;
  readonly turn: (turn: Hands['turn']) => void;
  readonly again: () => void;
}

/** A vehicle that is driven by hand; time passes only while something moves. */
export function useBench(vehicle: Vehicle, layout: Layout): Bench {
  const [kept, setKept] = useState(() => [startBench(vehicle, layout)]);
  const [drive, setDrive] = useState(kept[0]!);
  const hands = useRef<Hands>({ roll: 0, turn: 0 });
  const state = useRef({ drive, kept });
  const frame = useRef<number>(undefined);

  const step = useCallback(
    (last: number) => (now: number) => {
      const { drive: before, kept: all } = state.current;
      const next = driveBench(vehicle, layout, before, hands.current, now - last);
      const list = next.atMs - all.at(-1)!.atMs >= keepEveryMs ? [...all, next] : all;
      state.current = { drive: next, kept: list };
      setDrive(next);
      if (list !== all) setKept(list);
      const turns = next.placed.steerDeg !== before.placed.steerDeg;
      const moves = hands.current.roll !== 0 || next.speedMps !== 0 || turns || turning(hands.current.turn);
      frame.current = moves ? requestAnimationFrame(step(now)) : undefined;
    },
    [vehicle, layout],
  );
  const wake = useCallback(() => {
    frame.current ??= requestAnimationFrame((now) => step(now - 16)(now));
  }, [step]);
  useEffect(
    () => () => {
      if (frame.current !== undefined) cancelAnimationFrame(frame.current);
      frame.current = undefined;
    },
    [],
  );
  return {
    drive,
    kept,
    roll(roll) {
      hands.current = { ...hands.current, roll };
      wake();
    },
    turn(turn) {
      const lock = wheelLockDeg(vehicle);
      hands.current = {
        ...hands.current,
        turn: typeof turn === 'number' ? turn : { toDeg: Math.max(-lock, Math.min(lock, turn.toDeg)) },
      };
      wake();
    },
    again() {
      const start = startBench(vehicle, layout);
      hands.current = { roll: 0, turn: 0 };
      state.current = { drive: start, kept: [start] };
      setDrive(start);
      setKept([start]);
    },
  };
}

const turning = (turn: Hands['turn']): boolean => typeof turn === 'number' && turn !== 0;
