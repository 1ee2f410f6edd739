import type { Review } from '@jasperwren/core/safety-questions/memory';
import { putInLine } from '../outbox/entries';
import { deviceDb, type KeptReview } from './device-db';
import type { Lane } from './lanes';

/** Where storage is denied, answers live as long as the page. */
const held: KeptReview[] = [];

/** Keeps an answer, and puts it in line to be sent. */
export async function keepReview(owner: string, lane: Lane, review: Review): Promise<void> {
  await deviceDb.reviews
    .put({ id: review.id, lane, review })
    .catch(() => void held.push({ id: review.id, lane, review }));
  await putInLine({ id: review.id, owner, lane, body: review });
}

/** The answers this device has for somebody. */
export async function keptReviews(lane: Lane): Promise<readonly Review[]> {
  const stored = await deviceDb.reviews
    .where({ lane })
    .toArray()
    .catch(() => []);
  return [...stored, ...held.filter((one) => one.lane === lane)].map(({ review }) => review);
}

/** Takes off this device the answers of lanes in which nothing waits. */
export async function forgetReviews(waits: (lane: Lane) => boolean): Promise<void> {
  held.splice(0, held.length, ...held.filter(({ lane }) => waits(lane)));
  await deviceDb.reviews.filter(({ lane }) => !waits(lane)).delete();
}
