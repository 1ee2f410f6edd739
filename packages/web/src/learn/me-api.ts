import type { CodeSignIn, MeView, MyDebrief } from '@jasperwren/contract/checks';
import type { SharedDebrief } from '@jasperwren/contract/shares';
import type { Review } from '@jasperwren/core/checks/memory';
import { api, keepToken } from '../app/api';
import { arrive } from '../session/leave';

const meApi = api.injectEndpoints({
  endpoints: (build) => ({
    me: build.query<MeView, void>({
      query: () => '/me',
      providesTags: ['Me'],
      onQueryStarted: async (_, { queryFulfilled }) => {
        await queryFulfilled.then(
          ({ data }) => keepToken(data.csrfToken),
          () => undefined,
        );
      },
    }),
    signInByCode: build.mutation<MeView, CodeSignIn>({
      query: (body) => ({ url: '/me/session', method: 'POST', body }),
      onQueryStarted: async (_, { dispatch, queryFulfilled }) => {
        await queryFulfilled.then(
          async ({ data }) => {
            keepToken(data.csrfToken);
            await arrive(data.learnerId, dispatch);
            dispatch(api.util.resetApiState());
            await dispatch(meApi.util.upsertQueryData('me', undefined, data));
          },
          () => undefined,
        );
      },
    }),
    myReviews: build.query<readonly Review[], void>({ query: () => '/me/reviews', providesTags: ['Reviews'] }),
    myDebriefs: build.query<readonly MyDebrief[], void>({ query: () => '/me/debriefs', providesTags: ['Me'] }),
    myDebrief: build.query<SharedDebrief, string>({ query: (id) => `/me/debriefs/${id}` }),
  }),
});

export const { useMeQuery, useSignInByCodeMutation, useMyReviewsQuery, useMyDebriefsQuery, useMyDebriefQuery } = meApi;
