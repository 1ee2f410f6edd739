import 'fake-indexeddb/auto';
import type { Review } from '@jasperwren/core/checks/memory';
import {
  countUnsentReviews,
  forgetSentReviews,
  keepReview,
  keptReviews,
  markReviewsSent,
  unsentReviews,
} from './review-log';

const mine = '/api/me/reviews';
const theirs = '/api/learners/b/reviews';
const review = (id: string): Review => ({
  id,
  question: 'tell.oil',
  at: '2026-05-01T10:00:00Z',
  rating: 'good',
  mode: 'reveal',
  missed: [],
});
const ids = (all: readonly Review[]) => all.map(({ id }) => id).sort();

afterEach(async () => {
  await markReviewsSent(['a', 'b', 'c', 'd']);
  await forgetSentReviews();
});

describe('the answers on this device', () => {
  it('are kept before they are sent, each once, and each for its learner', async () => {
    for (const id of ['a', 'b', 'a']) await keepReview(mine, review(id));
    await keepReview(theirs, review('c'));
    expect(ids(await keptReviews(mine))).toEqual(['a', 'b']);
    expect(ids(await unsentReviews(theirs, 10))).toEqual(['c']);
    expect(await countUnsentReviews()).toBe(3);
  });

  it('are sent in portions, and stay known once they are', async () => {
    for (const id of ['a', 'b', 'c']) await keepReview(mine, review(id));
    const first = await unsentReviews(mine, 2);
    expect(first).toHaveLength(2);
    await markReviewsSent(ids(first));
    expect(await unsentReviews(mine, 10)).toHaveLength(1);
    expect(await keptReviews(mine)).toHaveLength(3);
  });

  it('leave with the sign-out, save those that were not sent', async () => {
    for (const id of ['a', 'b']) await keepReview(mine, review(id));
    await markReviewsSent(['a']);
    await forgetSentReviews();
    expect(ids(await keptReviews(mine))).toEqual(['b']);
  });
});

describe('where the device keeps nothing', () => {
  it('they live as long as the page, and are sent all the same', async () => {
    const put = jest.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
      throw new DOMException('Denied', 'SecurityError');
    });
    await keepReview(mine, review('d'));
    put.mockRestore();
    expect(ids(await unsentReviews(mine, 10))).toEqual(['d']);
    await markReviewsSent(['d']);
    expect(await unsentReviews(mine, 10)).toEqual([]);
    expect(ids(await keptReviews(mine))).toEqual(['d']);
    await forgetSentReviews();
    expect(await keptReviews(mine)).toEqual([]);
  });
});
