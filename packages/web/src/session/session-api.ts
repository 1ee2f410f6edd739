import type {
  FactorProof,
  FactorSecret,
  NewPassword,
  PasswordChange,
  PasswordLinkView,
  PasswordProof,
  RecoveryCodes,
  SessionView,
  SignInRequest,
  SignInView,
  WelcomeView,
} from '@jasperwren/contract/accounts';
import { api, keepToken, type ApiError } from '../app/api';
import { arrive, finishLeaving, isLeaving } from './leave';

const signedOut: ApiError = { status: 401, code: 'not-signed-in', message: 'Nobody is signed in.' };

const sessionApi = api.injectEndpoints({
  endpoints: (build) => ({
    session: build.query<SessionView, void>({
      async queryFn(_, __, ___, fetch) {
        // Whoever signed out here is not signed in, whatever the server still thinks.
        if (isLeaving() && !(await finishLeaving())) return { error: signedOut };
        const { data, error } = await fetch('/session');
        return data ? { data: data as SessionView } : { error: error as ApiError };
      },
      providesTags: ['Session'],
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
    welcome: build.query<WelcomeView, void>({ query: () => '/welcome' }),
    signIn: build.mutation<SessionView, SignInRequest>({
      query: (body) => ({ url: '/session', method: 'POST', body }),
      onQueryStarted: async (_, { dispatch, queryFulfilled }) => {
        try {
          const { data } = await queryFulfilled;
          keepToken(data.csrfToken);
          await arrive(data.account.id, dispatch);
          await dispatch(sessionApi.util.upsertQueryData('session', undefined, data));
        } catch {
          // The form shows why.
        }
      },
    }),
    changePassword: build.mutation<void, PasswordChange>({
      query: (body) => ({ url: '/session/password', method: 'PUT', body }),
      invalidatesTags: ['SignIns'],
    }),
    passwordLink: build.query<PasswordLinkView, string>({ query: (token) => `/password-links/${token}` }),
    choosePassword: build.mutation<void, { readonly token: string; readonly body: NewPassword }>({
      query: ({ token, body }) => ({ url: `/password-links/${token}`, method: 'POST', body }),
    }),
    signIns: build.query<readonly SignInView[], void>({ query: () => '/sign-ins', providesTags: ['SignIns'] }),
    endSignIn: build.mutation<void, string>({
      query: (id) => ({ url: `/sign-ins/${id}`, method: 'DELETE' }),
      invalidatesTags: ['SignIns'],
    }),
    endOtherSignIns: build.mutation<void, void>({
      query: () => ({ url: '/sign-ins', method: 'DELETE' }),
      invalidatesTags: ['SignIns'],
    }),
    beginFactor: build.mutation<FactorSecret, PasswordProof>({
      query: (body) => ({ url: '/session/factor', method: 'POST', body }),
    }),
    confirmFactor: build.mutation<RecoveryCodes, FactorProof>({
      query: (body) => ({ url: '/session/factor', method: 'PUT', body }),
    }),
    dropFactor: build.mutation<void, PasswordProof>({
      query: (body) => ({ url: '/session/factor/off', method: 'POST', body }),
      invalidatesTags: ['Session'],
    }),
  }),
});

export const {
  useSessionQuery,
  useWelcomeQuery,
  useSignInMutation,
  useChangePasswordMutation,
  usePasswordLinkQuery,
  useChoosePasswordMutation,
  useSignInsQuery,
  useEndSignInMutation,
  useEndOtherSignInsMutation,
  useBeginFactorMutation,
  useConfirmFactorMutation,
  useDropFactorMutation,
} = sessionApi;
