import type { Review } from '@jasperwren/core/checks/memory';
import { deviceDb, type KeptReview } from '../../app/device-db';
import { lanesInUse, putInLine } from '../../outbox/entries';

/** Where storage is denied, answers live as long as the page. */
const held: KeptReview[] = [];

/** Keeps an answer, and puts it in line to be sent. */
export async function keepReview(owner: string, url: string, review: Review): Promise<void> {
  await deviceDb.reviews
    .put({ id: review.id, url, review })
    .catch(() => void held.push({ id: review.id, url, review }));
  await putInLine({ id: review.id, owner, lane: `reviews ${url}`, body: review });
}

/** The answers this device has for somebody. */
export async function keptReviews(url: string): Promise<readonly Review[]> {
  const stored = await deviceDb.reviews
    .where({ url })
    .toArray()
    .catch(() => []);
  return [...stored, ...held.filter((one) => one.url === url)].map(({ review }) => review);
}

/** Takes off this device the answers of whom nothing waits. */
export async function forgetSentReviews(): Promise<void> {
  held.length = 0;
  const lanes = await lanesInUse();
  await deviceDb.reviews.filter(({ url }) => !lanes.has(`reviews ${url}`)).delete();
}
