import { t } from '@jasperwren/words/common';
import type { SessionView } from '@jasperwren/contract/accounts';
import { routes } from '@jasperwren/contract/routes';
import { api } from '../base/api';
import { keepToken, type ApiError } from '../base/client';
import { arrive, finishLeaving, isLeaving } from './leave';

const signedOut: ApiError = { status: 401, code: 'not-signed-in', message: t('youAreSignedOut') };
const { session: route } = routes;

api.injectEndpoints({
  overrideExisting: true,
  endpoints: (build) => ({
    session: build.query<SessionView, void>({
      async queryFn(_, __, ___, fetch) {
        // Whoever signed out here is not signed in, whatever the server still thinks.
        if (isLeaving() && !(await finishLeaving())) return { error: signedOut };
        const { data, error } = await fetch({ url: route.path });
        return data ? { data: data as SessionView } : { error: error as ApiError };
      },
      providesTags: [...route.reads],
      onQueryStarted: async (_, { dispatch, queryFulfilled }) => {
        await queryFulfilled.then(
          async ({ data }) => {
            keepToken(data.csrfToken);
            await arrive(data.account.id, dispatch);
          },
          () => undefined,
        );
      },
    }),
  }),
});

api.enhanceEndpoints({
  endpoints: {
    me: {
      onQueryStarted: async (_, { queryFulfilled }) => {
        await queryFulfilled.then(
          ({ data }) => keepToken(data.csrfToken),
          () => undefined,
        );
      },
    },
    learnerSignIn: {
      onQueryStarted: async (_, { dispatch, queryFulfilled }) => {
        await queryFulfilled.then(
          async ({ data }) => {
            keepToken(data.csrfToken);
            await arrive(data.learnerId, dispatch);
            dispatch(api.util.resetApiState());
            await dispatch(api.util.upsertQueryData('me', undefined, data));
          },
          () => undefined,
        );
      },
    },
  },
});
