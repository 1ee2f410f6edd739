import fc from 'fast-check';
import { doubleWithinMs } from './doubles';
import type { DriveEvent, EventBody } from './event';
import { foldDrive } from './fold';
import { logOf, minute, start } from './testing';
import { anyLog } from './testing-arbitraries';

const mark = (item: string, grade = 'driving'): EventBody => ({ type: 'mark', item, grade });
const seconds = (n: number) => n / 60;

/** A log with marks of the instructor in front and of an observer in the back, each at a second. */
function twoDevices(
  front: readonly (readonly [second: number, body: EventBody])[],
  back: readonly (readonly [second: number, body: EventBody])[],
  more: readonly DriveEvent[] = [],
) {
  const at = (list: typeof front) => list.map(([second, body]) => [seconds(second), body] as const);
  return foldDrive([...logOf([[0, start()], ...at(front)], 'front'), ...logOf(at(back), 'back'), ...more]);
}
const pairs = (drive: ReturnType<typeof foldDrive>) => drive.doubles.map(({ first, second }) => [first.id, second.id]);

describe('marks made on two devices', () => {
  it('may be one fault where item and moment agree', () => {
    const drive = twoDevices([[60, mark('signs.lights')]], [[66, mark('signs.lights', 'serious')]]);
    expect(pairs(drive)).toEqual([['front-1', 'back-0']]);
  });

  it('pairs the nearest first, as sensors and persons are paired', () => {
    const drive = twoDevices(
      [
        [0, mark('signs.lights')],
        [15, mark('signs.lights')],
      ],
      [[16, mark('signs.lights')]],
    );
    expect(pairs(drive)).toEqual([['front-2', 'back-0']]);
  });

  it.each([
    ['another item', [[66, mark('signs.signs')]]],
    ['too late', [[60 + doubleWithinMs / 1000 + 1, mark('signs.lights')]]],
  ] as const)('are two faults where it is %s', (_, back) => {
    expect(pairs(twoDevices([[60, mark('signs.lights')]], back))).toEqual([]);
  });

  it('are two faults on one device, however close', () => {
    const twice = [
      [60, mark('signs.lights')],
      [61, mark('signs.lights')],
    ] as const;
    expect(pairs(twoDevices(twice, []))).toEqual([]);
  });

  it('are settled by striking one, or by saying that they are two', () => {
    const front = [[60, mark('signs.lights')]] as const;
    const back = [[61, mark('signs.lights')]] as const;
    const say = (body: EventBody) => logOf([[2, body]], 'later');
    const struck = say({ type: 'strike', target: 'back-0', reason: 'Seen twice' });
    const apart = say({ type: 'distinct', target: 'back-0', other: 'front-1' });
    expect(pairs(twoDevices(front, back, struck))).toEqual([]);
    expect(pairs(twoDevices(front, back, apart))).toEqual([]);
  });

  it('keep who made which', () => {
    const drive = twoDevices([[60, mark('signs.lights')]], [[61, mark('signs.lights')]]);
    expect(drive.marks.map(({ device }) => device)).toEqual(['front', 'back']);
  });

  it('are each in one pair at most, whatever the log', () => {
    fc.assert(
      fc.property(anyLog, (log) => {
        const ids = foldDrive(log).doubles.flatMap(({ first, second }) => [first, second]);
        expect(new Set(ids.map(({ id }) => id)).size).toBe(ids.length);
        for (const { first, second } of foldDrive(log).doubles) {
          expect(second.atMs - first.atMs).toBeLessThanOrEqual(doubleWithinMs);
          expect(first.struck ?? second.struck).toBeUndefined();
        }
      }),
    );
    expect(doubleWithinMs).toBeLessThan(minute);
  });
});

describe('what sensors saw and a person marked', () => {
  const seen = { detected: { run: 'r', fromMs: 1000, toMs: 2000 }, measured: 16 } as const;
  const bySensors = (second: number, item = 'signs.lights') =>
    [second, { ...mark(item), ...seen } as EventBody] as const;
  const standing = (drive: ReturnType<typeof foldDrive>) =>
    drive.marks.map(({ id, detected, measured }) => [id, detected?.run, measured]);

  it('is one fault: the mark of the person with what was measured, and nobody is asked', () => {
    const drive = twoDevices([[60, mark('signs.lights', 'serious')]], [bySensors(66)]);
    expect(standing(drive)).toEqual([['front-1', 'r', 16]]);
    expect(drive.marks[0]!.grade).toBe('serious');
    expect(pairs(drive)).toEqual([]);
  });

  it('is paired one to one, the nearest first', () => {
    const drive = twoDevices(
      [
        [60, mark('signs.lights')],
        [70, mark('signs.lights')],
      ],
      [bySensors(69), bySensors(72), bySensors(75)],
    );
    // The two of the person take what lies nearest to them; the third stands by itself.
    expect(standing(drive).map(([id, run]) => [id, run])).toEqual([
      ['front-1', 'r'],
      ['front-2', 'r'],
      [expect.stringMatching(/^back-/), 'r'],
    ]);
  });

  it.each([
    ['another fault', [bySensors(61, 'signs.signs')]],
    ['too far apart', [bySensors(60 + doubleWithinMs / 1000 + 1)]],
  ] as const)('stays two where it is %s', (_, back) => {
    expect(twoDevices([[60, mark('signs.lights')]], back).marks).toHaveLength(2);
  });

  it('takes a value of the person before that of the sensors', () => {
    const drive = twoDevices([[60, { ...mark('signs.lights'), measured: 20 } as EventBody]], [bySensors(61)]);
    expect(standing(drive)).toEqual([['front-1', 'r', 20]]);
  });
});
