import type { Review } from '@jasperwren/core/safety-questions/memory';
import { useCallback, useEffect, useState } from 'react';
import { v7 as newId } from 'uuid';
import type { Lane } from '../../base/device/lanes';
import { useAppSelector } from '../../base/hooks';
import { keepReview, keptReviews } from '../../base/device/kept-reviews';

export interface Reviews {
  /** Everything known: from the server and from this device. Undefined while it is read. */
  readonly all: readonly Review[] | undefined;
  readonly unsent: number;
  readonly add: (review: Omit<Review, 'id' | 'at'>) => void;
}

/**
 * The answers of somebody: kept on this device first, sent in the background, each once.
 * @param owner who is signed in
 * @param lane where they belong
 * @param known what the server has; undefined where it was not reached
 */
export function useReviews(owner: string, lane: Lane, known: readonly Review[] | undefined): Reviews {
  const [own, setOwn] = useState<readonly Review[]>();
  const unsent = useAppSelector((state) => state.outbox.waiting);
  useEffect(() => {
    let here = true;
    // A device that keeps nothing has nothing of its own.
    void keptReviews(lane)
      .catch(() => [])
      .then((kept) => here && setOwn(kept));
    return () => {
      here = false;
    };
  }, [lane]);
  const add = useCallback(
    (review: Omit<Review, 'id' | 'at'>) => {
      const kept: Review = { ...review, id: newId(), at: new Date().toISOString() };
      setOwn((all) => [...(all ?? []), kept]);
      void keepReview(owner, lane, kept);
    },
    [owner, lane],
  );
  return { all: own && [...(known ?? []), ...own], unsent, add };
}
