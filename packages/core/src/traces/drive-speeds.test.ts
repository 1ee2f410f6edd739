import { speedsIn } from './drive-speeds';
import type { DrivenPiece } from './reading';

/** A piece driven at 13 m/s with a fix a second, unsure in the middle. */
const piece: DrivenPiece = {
  line: [
    [48, -30, 0],
    [48, -29.99, 780],
  ],
  metres: 780,
  times: Array.from({ length: 61 }, (_, i) => [i * 1000, i * 13] as const),
  sure: [
    [0, 0.99],
    [400, 0.5],
    [450, 1],
  ],
  limits: [[0, 32.2]],
  usual: [[0, 32.2]],
  passes: [],
  stretches: [],
};

it('says where a drive was over the limit, its pieces one after the other', () => {
  const { speeds, stretches, begins, metres } = speedsIn({ pieces: [piece, piece], noise: 2 });
  expect([begins, metres]).toEqual([[0, 780], 1560]);
  expect(speeds.at(-1)!.metres).toBeGreaterThan(1400);
  expect(stretches.map(({ kind, limit }) => [kind, limit])).toContainEqual(['over', 32.2]);
});

it('says nothing of the speed where the road is not sure', () => {
  const { speeds } = speedsIn({ pieces: [piece], noise: 2 });
  expect(speeds.some(({ metres }) => metres > 340 && metres < 510)).toBe(false);
  expect(speeds.some(({ metres }) => metres < 330)).toBe(true);
});

it('says nothing of no pieces', () => {
  expect(speedsIn({ pieces: [], noise: 2 })).toMatchObject({ speeds: [], stretches: [], metres: 0 });
});
