import 'fake-indexeddb/auto';
import type { Review } from '@jasperwren/core/checks/memory';
import { deviceDb } from '../../app/device-db';
import { entriesOf, takeOut } from '../../outbox/entries';
import { forgetSentReviews, keepReview, keptReviews } from './review-log';

const mine = '/me/reviews';
const theirs = '/learners/b/reviews';
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
    expect((await entriesOf('lead')).map(({ lane, id }) => [lane, id])).toEqual([[`reviews ${theirs}`, 'c']]);
  });

  it('leave with the sign-out, save those of whom something waits', async () => {
    await keepReview('me', mine, review('a'));
    await keepReview('lead', theirs, review('c'));
    await takeOut(['a']);
    await forgetSentReviews();
    expect(await keptReviews(mine)).toEqual([]);
    expect(ids(await keptReviews(theirs))).toEqual(['c']);
  });
});
