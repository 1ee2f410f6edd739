import type { Review } from '@jasperwren/core/checks/memory';
import { useCallback, useEffect, useState } from 'react';
import { v7 as newId } from 'uuid';
import { useAppSelector } from '../../app/hooks';
import { outbox } from '../../outbox/outbox';
import { keepReview, keptReviews } from './review-log';

export interface Reviews {
  /** Everything known: from the server and from this device. Undefined while it is read. */
  readonly all: readonly Review[] | undefined;
  readonly unsent: number;
  readonly add: (review: Omit<Review, 'id' | 'at'>) => void;
}

/**
 * The answers of somebody: kept on this device first, sent in the background, each once.
 * @param owner who is signed in
 * @param url where they belong, such as `/me/reviews`
 * @param known what the server has; undefined where it was not reached
 */
export function useReviews(owner: string, url: string, known: readonly Review[] | undefined): Reviews {
  const [own, setOwn] = useState<readonly Review[]>();
  const unsent = useAppSelector((state) => state.outbox.waiting);
  useEffect(() => {
    let here = true;
    void keptReviews(url).then((kept) => here && setOwn(kept));
    return () => {
      here = false;
    };
  }, [url]);
  const add = useCallback(
    (review: Omit<Review, 'id' | 'at'>) => {
      const kept: Review = { ...review, id: newId(), at: new Date().toISOString() };
      setOwn((all) => [...(all ?? []), kept]);
      void keepReview(owner, url, kept).then(outbox.soon);
    },
    [owner, url],
  );
  return { all: own && [...(known ?? []), ...own], unsent, add };
}
