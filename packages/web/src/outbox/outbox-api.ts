import type { Review } from '@jasperwren/core/checks/memory';
import { api, everybodys } from '../app/api';

/** What the outbox sends besides marks. */
export const outboxApi = api.injectEndpoints({
  endpoints: (build) => ({
    sendReviews: build.mutation<void, { readonly url: string; readonly reviews: readonly Review[] }>({
      query: ({ url, reviews }) => ({ url, method: 'POST', body: { reviews } }),
      invalidatesTags: (_, error, { url }) => {
        if (error) return [];
        const id = /^\/learners\/([^/]+)\//.exec(url)?.[1];
        return id === undefined ? ['Reviews'] : [everybodys('Reviews'), { type: 'Reviews', id }];
      },
    }),
    putSetting: build.mutation<void, { readonly url: string; readonly body: unknown }>({
      query: ({ url, body }) => ({ url, method: 'PUT', body }),
    }),
  }),
});
