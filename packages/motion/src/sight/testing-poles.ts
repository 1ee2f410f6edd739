import { layOut } from '../layout/exercises';
import type { Layout } from '../layout/layout';
import { standing } from '../moves/roll';
import { vehicleClasses } from '../vehicle/classes';

/** Where a vehicle of the tests stands. */
export const here = standing({ x: 0, y: 0, heading: 0 });

/** Bare ground with poles, by letter, at these places. */
export const poles = (...at: readonly (readonly [number, number])[]): Layout => ({
  ...layOut({ code: 'bay-reverse', side: 'right', space: {} }, vehicleClasses.car),
  edges: [],
  markers: at.map(([x, y], i) => ({ id: 'ABCDEFG'[i]!, kind: 'pole', x, y })),
});
