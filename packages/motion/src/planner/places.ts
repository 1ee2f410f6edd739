import type { Pose } from '../geometry';
import type { Area } from '../geometry';

const { PI, ceil, round } = Math;

/** The positions of an area, parted into cells of place and direction. */
export interface Places {
  readonly count: number;
  /** The number of the cell of a pose; of a pose outside the area it says nothing. */
  readonly of: (pose: Pose) => number;
}

/** @param alongM the length of a cell along x, in metres; as long as it is wide if nothing is said */
export function placesOf(
  { left, right, bottom, top }: Area,
  cellM: number,
  cellRad: number,
  alongM: number = cellM,
): Places {
  const columns = ceil((right - left) / alongM) + 2;
  const rows = ceil((top - bottom) / cellM) + 2;
  const turns = round((2 * PI) / cellRad);
  return {
    count: columns * rows * turns,
    of({ x, y, heading }) {
      const turn = ((round(heading / cellRad) % turns) + turns) % turns;
      return (turn * rows + round((y - bottom) / cellM)) * columns + round((x - left) / alongM);
    },
  };
}
