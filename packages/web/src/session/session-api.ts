import type {
  AccountInput,
  AccountView,
  PasswordChange,
  SessionView,
  SignInRequest,
  WelcomeView,
} from '@jasperwren/contract/accounts';
import { api, keepToken } from '../app/api';

const sessionApi = api.injectEndpoints({
  endpoints: (build) => ({
    session: build.query<SessionView, void>({
      query: () => '/session',
      providesTags: ['Session'],
      onQueryStarted: keepNewToken,
    }),
    welcome: build.query<WelcomeView, void>({ query: () => '/welcome' }),
    signIn: build.mutation<SessionView, SignInRequest>({
      query: (body) => ({ url: '/session', method: 'POST', body }),
      onQueryStarted: async (_, { dispatch, queryFulfilled }) => {
        try {
          const { data } = await queryFulfilled;
          keepToken(data.csrfToken);
          await dispatch(sessionApi.util.upsertQueryData('session', undefined, data));
        } catch {
          // The form shows why.
        }
      },
    }),
    signOut: build.mutation<void, void>({ query: () => ({ url: '/session', method: 'DELETE' }) }),
    changePassword: build.mutation<void, PasswordChange>({
      query: (body) => ({ url: '/session/password', method: 'PUT', body }),
    }),
    accounts: build.query<readonly AccountView[], void>({ query: () => '/accounts', providesTags: ['Accounts'] }),
    addAccount: build.mutation<AccountView, AccountInput>({
      query: (body) => ({ url: '/accounts', method: 'POST', body }),
      invalidatesTags: ['Accounts'],
    }),
  }),
});

async function keepNewToken(
  _: void,
  { queryFulfilled }: { queryFulfilled: Promise<{ data: SessionView }> },
): Promise<void> {
  try {
    keepToken((await queryFulfilled).data.csrfToken);
  } catch {
    // Nobody is signed in.
  }
}

export const {
  useSessionQuery,
  useWelcomeQuery,
  useSignInMutation,
  useSignOutMutation,
  useChangePasswordMutation,
  useAccountsQuery,
  useAddAccountMutation,
} = sessionApi;
