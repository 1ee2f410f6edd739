import type { Review } from '@jasperwren/core/checks/memory';
import Dexie, { type Table } from 'dexie';

/** An answer as the device keeps it: written before it is sent. `url` says whose it is. */
interface KeptReview {
  readonly id: string;
  readonly url: string;
  readonly review: Review;
  readonly sent: 0 | 1;
}

const log = new Dexie('jasperwren-drill') as Dexie & { reviews: Table<KeptReview, string> };
log.version(1).stores({ reviews: 'id, url, [url+sent], sent' });

/** Where storage is denied, answers live as long as the page and are sent all the same. */
const held = new Map<string, KeptReview>();

export async function keepReview(url: string, review: Review): Promise<void> {
  const kept: KeptReview = { id: review.id, url, review, sent: 0 };
  await log.reviews.put(kept).catch(() => void held.set(kept.id, kept));
}

/** The answers this device has for somebody. */
export async function keptReviews(url: string): Promise<readonly Review[]> {
  const stored = await log.reviews
    .where({ url })
    .toArray()
    .catch(() => []);
  return [...stored, ...[...held.values()].filter((one) => one.url === url)].map(({ review }) => review);
}

/** Answers of somebody that the server has not acknowledged. */
export async function unsentReviews(url: string, most: number): Promise<readonly Review[]> {
  const stored = await log.reviews
    .where({ url, sent: 0 })
    .limit(most)
    .toArray()
    .catch(() => []);
  return [...stored, ...[...held.values()].filter((one) => one.url === url && one.sent === 0)].map(
    ({ review }) => review,
  );
}

export async function markReviewsSent(ids: readonly string[]): Promise<void> {
  for (const id of ids) {
    const one = held.get(id);
    if (one) held.set(id, { ...one, sent: 1 });
  }
  await log.reviews
    .where('id')
    .anyOf([...ids])
    .modify({ sent: 1 })
    .catch(() => undefined);
}

/** How many answers on this device the server does not have. */
export async function countUnsentReviews(): Promise<number> {
  const stored = await log.reviews
    .where({ sent: 0 })
    .count()
    .catch(() => 0);
  return stored + [...held.values()].filter(({ sent }) => sent === 0).length;
}

/** Takes off this device everything the server has. */
export async function forgetSentReviews(): Promise<void> {
  held.clear();
  await log.reviews
    .where({ sent: 1 })
    .delete()
    .catch(() => 0);
}
