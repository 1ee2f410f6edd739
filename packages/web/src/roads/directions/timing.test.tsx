import type { CallTimingView } from '@jasperwren/contract/call-timing';
import { act, fireEvent, render, screen } from '@testing-library/react';
import { TimingDialog } from './TimingDialog';

const mockTiming: CallTimingView = {
  instructor: {
    first: [
      [0, 91.44],
      [48.28032, 182.88],
    ],
    againSeconds: 5,
    leastSeconds: 4,
  },
  device: { first: [[0, 300]], leastSeconds: 4 },
  version: 3,
};
const mockSet = jest.fn<Promise<{ readonly data?: CallTimingView }>, [unknown]>();
jest.mock('../../base/api', () => ({
  api: {
    useCallTimingQuery: () => ({ data: mockTiming }),
    useSetCallTimingMutation: () => [mockSet, { isLoading: false }],
  },
}));

const onClose = jest.fn();
const fields = (label: string) => screen.getAllByLabelText<HTMLInputElement>(label);
const type = (field: HTMLElement | undefined, value: string) => fireEvent.change(field!, { target: { value } });
const save = () =>
  act(() => Promise.resolve(void fireEvent.click(screen.getByRole('button', { name: 'Save timing' }))));

beforeEach(() => {
  onClose.mockClear();
  mockSet.mockReset().mockResolvedValue({ data: mockTiming });
});

it('shows miles per hour and yards where the roads are measured in them', () => {
  render(<TimingDialog speaker="instructor" units="miles" onClose={onClose} />);
  expect(fields('From, mph').map(({ value }) => value)).toEqual(['0', '30']);
  expect(fields('Yards before').map(({ value }) => value)).toEqual(['100', '200']);
});

it('saves in km/h and metres, leaves the other speaker as it is, and closes', async () => {
  render(<TimingDialog speaker="instructor" units="miles" onClose={onClose} />);
  type(fields('Yards before')[0], '120,5');
  type(fields('Said again, s before')[0], ' ');
  await save();
  const [{ body }] = mockSet.mock.calls[0] as [{ readonly body: unknown }];
  expect(body).toEqual({
    instructor: {
      steps: [
        { kmh: 0, metres: expect.closeTo(110.1852) as unknown },
        { kmh: expect.closeTo(48.28032) as unknown, metres: expect.closeTo(182.88) as unknown },
      ],
      leastSeconds: 4,
    },
    device: { steps: [{ kmh: 0, metres: 300 }], leastSeconds: 4 },
    version: 3,
  });
  expect(onClose).toHaveBeenCalled();
});

it.each([
  ['Metres before', ''],
  ['From, km/h', 'fast'],
  ['Said again, s before', 'later'],
  ['Between directions, s', ''],
])('sends nothing while "%s" is "%s", and says what belongs there', async (label, value) => {
  render(<TimingDialog speaker="instructor" units="metric" onClose={onClose} />);
  type(fields(label)[0], value);
  await save();
  expect(mockSet).not.toHaveBeenCalled();
  expect(fields(label)[0]!.value).toBe(value);
  expect(fields(label)[0]!.getAttribute('aria-invalid')).toBe('true');
  screen.getByText('A number, 0 or more.');
  type(fields(label)[0], '50');
  expect(screen.queryByText('A number, 0 or more.')).toBeNull();
});

it('stays open where the server refuses', async () => {
  mockSet.mockResolvedValue({});
  render(<TimingDialog speaker="device" units="metric" onClose={onClose} />);
  await save();
  expect(mockSet).toHaveBeenCalledTimes(1);
  expect(onClose).not.toHaveBeenCalled();
});

it('adds a step up to eight and keeps one at least', () => {
  render(<TimingDialog speaker="device" units="metric" onClose={onClose} />);
  const remove = () => screen.getAllByRole<HTMLButtonElement>('button', { name: /^Delete step/ });
  const add = screen.getByRole<HTMLButtonElement>('button', { name: 'Add a step' });
  expect(remove()[0]!.disabled).toBe(true);
  for (let i = 1; i < 8; i++) fireEvent.click(add);
  expect(fields('Metres before')).toHaveLength(8);
  expect(add.disabled).toBe(true);
  fireEvent.click(remove()[7]!);
  expect(fields('Metres before')).toHaveLength(7);
});
