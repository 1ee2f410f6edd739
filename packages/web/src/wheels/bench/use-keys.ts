import { useEffect } from 'react';
import type { BenchLoop } from './bench-loop';

const rolls: Readonly<Record<string, 1 | -1>> = { ArrowUp: 1, ArrowDown: -1 };
const turns: Readonly<Record<string, 1 | -1>> = { ArrowLeft: 1, ArrowRight: -1 };

/** Arrow keys drive, wherever no field or slider has them. */
export function useKeys(roll: BenchLoop['roll'], turn: BenchLoop['turn']): void {
  useEffect(() => {
    const own = ({ target }: KeyboardEvent) =>
      !(target instanceof HTMLInputElement) &&
      !(target instanceof HTMLElement && target.closest('[role=combobox],[role=listbox]'));
    const down = (event: KeyboardEvent) => {
      if (!own(event) || event.ctrlKey || event.altKey || event.metaKey) return;
      const [rolled, turned] = [rolls[event.key], turns[event.key]];
      if (rolled) roll(rolled);
      else if (turned) turn(turned);
      else if (event.key === 's') turn({ toDeg: 0 });
      else return;
      event.preventDefault();
    };
    const up = (event: KeyboardEvent) => {
      if (rolls[event.key]) roll(0);
      if (turns[event.key]) turn(0);
    };
    const stop = () => {
      roll(0);
      turn(0);
    };
    addEventListener('keydown', down);
    addEventListener('keyup', up);
    addEventListener('blur', stop);
    return () => {
      removeEventListener('keydown', down);
      removeEventListener('keyup', up);
      removeEventListener('blur', stop);
    };
  }, [roll, turn]);
}
