/** Which way it goes, as lanes and directions say it. */
export type Turn = 'left' | 'ahead' | 'right';

/** The lanes to use, counted from the left, of all there are. */
export interface Lanes {
  readonly use: readonly number[];
  readonly of: number;
}

const meanings: Readonly<Record<string, Turn>> = {
  left: 'left',
  slight_left: 'left',
  sharp_left: 'left',
  right: 'right',
  slight_right: 'right',
  sharp_right: 'right',
  through: 'ahead',
};

/**
 * The lanes that lead a way, by the tag `turn:lanes` (wiki: Key:turn): nothing where it does not tell, or where every lane
 * does.
 */
export function lanesFor(turnLanes: string | undefined, turn: Turn): Lanes | undefined {
  if (turnLanes === undefined) return undefined;
  const lanes = turnLanes
    .split('|')
    .map((lane) => lane.split(';').map((one): Turn | 'none' => meanings[one.trim()] ?? 'none'));
  const use = lanes.flatMap((lane, i) =>
    lane.includes(turn) || (turn === 'ahead' && lane.includes('none')) ? [i + 1] : [],
  );
  return use.length === 0 || use.length === lanes.length ? undefined : { use, of: lanes.length };
}
