import { timedYard } from '../marking/testing-standards';
import { channelsMissing, unseenWithout } from './unseen';
import { channelNames } from './sample';

it('misses a channel that no sample has a value of, and that one alone', () => {
  const samples = [
    { at: 0, speed: 0 },
    { at: 100, line: null },
    { at: 200, rpm: 900 },
  ];
  expect(channelsMissing(samples)).toEqual(channelNames.filter((name) => !['speed', 'rpm'].includes(name)));
  expect(channelsMissing([])).toEqual(channelNames);
});

it('sees no touched line in a run whose file has no such column, and every fault where there are all', () => {
  expect(unseenWithout(timedYard, ['line']).map(({ name }) => name)).toContain('Line touched');
  expect(unseenWithout(timedYard, [])).toEqual([]);
});
