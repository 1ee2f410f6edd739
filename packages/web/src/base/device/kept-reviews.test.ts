import 'fake-indexeddb/auto';
import type { Review } from '@jasperwren/core/safety-questions/memory';
import { deviceDb } from './device-db';
import { entriesOf, takeOut } from '../outbox/entries';
import { forgetSent } from './forget';
import { keepReview, keptReviews } from './kept-reviews';
import { laneOfOwnReviews, laneOfReviews } from './lanes';

const mine = laneOfOwnReviews('a');
const theirs = laneOfReviews('b');
const review = (id: string): Review => ({
  id,
  question: 'tell.oil',
  at: '2026-05-01T10:00:00Z',
  rating: 'good',
  mode: 'reveal',
  missed: [],
});
const ids = (all: readonly Review[]) => all.map(({ id }) => id).sort();

beforeEach(async () => {
  await Promise.all(deviceDb.tables.map((table) => table.clear()));
});

describe('the answers on this device', () => {
  it('are kept before they are sent, and each for its learner', async () => {
    for (const id of ['a', 'b']) await keepReview('me', mine, review(id));
    await keepReview('lead', theirs, review('c'));
    expect(ids(await keptReviews(mine))).toEqual(['a', 'b']);
    expect((await entriesOf('lead')).map(({ lane, id }) => [lane, id])).toEqual([[theirs, 'c']]);
  });

  it('leave with the sign-out, save those of whom something waits', async () => {
    await keepReview('me', mine, review('a'));
    await keepReview('lead', theirs, review('c'));
    await takeOut(['a']);
    await forgetSent();
    expect(await keptReviews(mine)).toEqual([]);
    expect(ids(await keptReviews(theirs))).toEqual(['c']);
  });
});
