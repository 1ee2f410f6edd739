import type { Review } from '@jasperwren/core/checks/memory';
import { useCallback, useEffect, useRef, useState } from 'react';
import { v7 as newId } from 'uuid';
import { api, csrfHeader } from '../../app/api';
import { useAppDispatch } from '../../app/hooks';
import { keepReview, keptReviews, markReviewsSent, unsentReviews } from './review-log';

const atOnce = 100;
const retryMs = 15_000;

export interface Reviews {
  /** Everything known: from the server and from this device. Undefined while it is read. */
  readonly all: readonly Review[] | undefined;
  readonly unsent: number;
  readonly add: (review: Omit<Review, 'id' | 'at'>) => void;
}

/**
 * The answers of somebody: kept on this device first, sent in the background, each once.
 * @param url where they belong, such as `/api/me/reviews`
 * @param known what the server has; undefined where it was not reached
 */
export function useReviews(url: string, known: readonly Review[] | undefined): Reviews {
  const dispatch = useAppDispatch();
  const [own, setOwn] = useState<readonly Review[]>();
  const [unsent, setUnsent] = useState(0);
  const sending = useRef(false);
  const send = useCallback(async () => {
    if (sending.current) return;
    sending.current = true;
    try {
      let sent = 0;
      for (;;) {
        const waiting = await unsentReviews(url, atOnce);
        setUnsent(waiting.length);
        if (waiting.length === 0) break;
        const answer = await fetch(url, {
          method: 'POST',
          headers: { 'content-type': 'application/json', ...csrfHeader() },
          body: JSON.stringify({ reviews: waiting }),
        }).catch(() => undefined);
        if (!answer?.ok) break;
        await markReviewsSent(waiting.map(({ id }) => id));
        sent += waiting.length;
      }
      if (sent > 0) dispatch(api.util.invalidateTags(['Reviews']));
    } finally {
      sending.current = false;
    }
  }, [url, dispatch]);
  useEffect(() => {
    let here = true;
    void keptReviews(url).then((kept) => here && setOwn(kept));
    void send();
    const timer = setInterval(() => void send(), retryMs);
    const online = () => void send();
    window.addEventListener('online', online);
    return () => {
      here = false;
      clearInterval(timer);
      window.removeEventListener('online', online);
    };
  }, [url, send]);
  const add = useCallback(
    (review: Omit<Review, 'id' | 'at'>) => {
      const kept: Review = { ...review, id: newId(), at: new Date().toISOString() };
      setOwn((all) => [...(all ?? []), kept]);
      setUnsent((n) => n + 1);
      void keepReview(url, kept).then(send);
    },
    [url, send],
  );
  return { all: own && [...(known ?? []), ...own], unsent, add };
}
