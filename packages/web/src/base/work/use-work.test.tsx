import { act, renderHook, waitFor } from '@testing-library/react';
import type { Remote } from 'comlink';
import type { Steps } from './follow';
import { useWork } from './use-work';
import type { Workers } from './workers';

interface Sums {
  readonly ready: boolean;
}
interface Question {
  readonly n: number;
}
interface Parts {
  readonly once: number;
  readonly twice: number;
}

/** Workers that never break, and say how many were ended. */
function workers(): Workers<Sums> & { readonly ended: () => number } {
  let ended = 0;
  return {
    start: () => ({
      work: {} as Remote<Sums>,
      broken: new Promise<never>(() => undefined),
      end: () => void ended++,
    }),
    ended: () => ended,
  };
}

/** Steps that go on when they are told to, by the number that is asked about. */
function steps() {
  const waiting = new Map<number, { readonly goOn: () => void; readonly fail: (error: Error) => void }>();
  const take: Steps<Sums, Question, Parts> = async (_, { n }, tell) => {
    tell({ once: n });
    await new Promise<void>((goOn, fail) => waiting.set(n, { goOn, fail }));
    tell({ twice: 2 * n });
  };
  return { take, waiting };
}

/** Does something, and waits for what follows from it at once. */
const soon = (what: () => void) =>
  act(() => {
    what();
    return Promise.resolve();
  });

it('shows each part as it is there, and what was there until the next is', async () => {
  const [of, { take, waiting }] = [workers(), steps()];
  const { result, rerender } = renderHook(({ question }) => useWork(of, question, take), {
    initialProps: { question: { n: 3 } },
  });
  await waitFor(() => expect(result.current).toMatchObject({ parts: { once: 3 }, working: false }));
  await soon(() => waiting.get(3)!.goOn());
  expect(result.current.parts).toEqual({ once: 3, twice: 6 });
  rerender({ question: { n: 4 } });
  await waitFor(() => expect(result.current.parts).toEqual({ once: 4, twice: 6 }));
});

it('ends the work on a question that nobody asks any more', async () => {
  const [of, { take, waiting }] = [workers(), steps()];
  const { result, rerender, unmount } = renderHook(({ question }) => useWork(of, question, take), {
    initialProps: { question: { n: 3 } },
  });
  await waitFor(() => expect(result.current.parts).toEqual({ once: 3 }));
  rerender({ question: { n: 5 } });
  expect(of.ended()).toBe(1);
  // What the first still says is not heard.
  await soon(() => waiting.get(3)!.goOn());
  expect(result.current.parts).toEqual({ once: 5 });
  unmount();
  expect(of.ended()).toBeGreaterThanOrEqual(2);
});

it('says why it failed, and works once more when asked', async () => {
  const [of, { take, waiting }] = [workers(), steps()];
  const question = { n: 3 };
  const { result } = renderHook(() => useWork(of, question, take));
  await waitFor(() => expect(result.current.parts).toEqual({ once: 3 }));
  await soon(() => waiting.get(3)!.fail(new Error('Out of memory.')));
  expect(result.current).toMatchObject({ failed: 'Out of memory.', working: false });
  act(() => result.current.again());
  await waitFor(() => expect(result.current.failed).toBeUndefined());
  await soon(() => waiting.get(3)!.goOn());
  expect(result.current.parts).toEqual({ once: 3, twice: 6 });
});
