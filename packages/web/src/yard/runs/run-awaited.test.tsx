import { act, render, renderHook, screen } from '@testing-library/react';
import type { SentSample } from '@jasperwren/core/yard/sample';
import type { Hearing, watchRun } from '../feed/watch-run';
import { RunAwaited } from './RunAwaited';
import { useRunSamples } from './use-run-samples';

type Watcher = Parameters<typeof watchRun>[1];
const watched: { readonly run: string; readonly tell: Watcher; stopped: boolean }[] = [];
jest.mock('../feed/watch-run', () => ({
  watchRun(run: string, tell: Watcher) {
    const one = { run, tell, stopped: false };
    watched.push(one);
    return () => (one.stopped = true);
  },
}));
const last = () => watched.at(-1)!;
const sample = (at: number) => ({ at, speed: 5 }) as SentSample;

beforeEach(() => jest.useFakeTimers());
afterEach(() => jest.useRealTimers());

it.each<[Hearing, string, string]>([
  ['connecting', 'status', 'Loading sensor values'],
  ['heard', 'status', 'Loading sensor values'],
  ['lost', 'status', 'No connection to the server.'],
  ['unknown', 'alert', 'There is no run with this id.'],
])('says what a run waits for: %s', (hearing, role, words) => {
  render(<RunAwaited hearing={hearing} what="Sensor values" />);
  expect(screen.getByRole(role).textContent).toContain(words);
});

it('shows the samples of a run as they come, and none of another one', () => {
  const { result, rerender, unmount } = renderHook(({ run }) => useRunSamples(run), { initialProps: { run: 'a' } });
  expect(result.current).toEqual({ samples: undefined, hearing: 'connecting' });
  act(() => {
    last().tell.hearing!('heard');
    last().tell.samples([sample(0), sample(50)]);
    jest.advanceTimersByTime(1000);
  });
  expect(result.current).toEqual({ samples: [sample(0), sample(50)], hearing: 'heard' });
  act(() => {
    last().tell.samples([sample(100)]);
    jest.advanceTimersByTime(1000);
  });
  expect(result.current.samples).toHaveLength(3);
  rerender({ run: 'b' });
  expect(watched.map(({ run, stopped }) => [run, stopped])).toEqual([
    ['a', true],
    ['b', false],
  ]);
  expect(result.current.samples).toBeUndefined();
  act(() => last().tell.none!());
  expect(result.current.samples).toEqual([]);
  unmount();
  expect(last().stopped).toBe(true);
});
