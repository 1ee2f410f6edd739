import { refuseWithoutRoom } from './admit-upload';

const room = { waiting: 0, taken: 0, free: 10e9 };
const codeOf = (of: typeof room, sending = 0, bytes = 0) => {
  try {
    refuseWithoutRoom(of, sending, bytes);
    return undefined;
  } catch (error) {
    return (error as { readonly code: string }).code;
  }
};

it('a file is refused where too many wait or are sent', () => {
  expect([0, 1, 2, 3].map((waiting) => codeOf({ ...room, waiting }))).toEqual([
    undefined,
    undefined,
    undefined,
    'roads-waiting',
  ]);
  expect(codeOf({ ...room, waiting: 1 }, 2)).toBe('roads-waiting');
});

it('and where the roads of the school would take more than they may', () => {
  expect(codeOf({ ...room, taken: 400e6 }, 0, 100e6)).toBeUndefined();
  expect(codeOf({ ...room, taken: 400e6 }, 0, 100e6 + 1)).toBe('roads-quota');
});

it('and where the disk would lack room for marks', () => {
  expect(codeOf({ ...room, free: 356e6 }, 0, 100e6)).toBeUndefined();
  expect(codeOf({ ...room, free: 356e6 - 1 }, 0, 100e6)).toBe('disk-full');
  expect(codeOf({ ...room, free: 256e6 - 1 })).toBe('disk-full');
});
