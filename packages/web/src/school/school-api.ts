import type {
  AccountEdit,
  AccountView,
  HandedOver,
  Invitation,
  PasswordLink,
  PersonView,
} from '@jasperwren/contract/accounts';
import type { AuditPage } from '@jasperwren/contract/audit';
import type { ErasedIds, ErasureReceipt, OutOfTime, SchoolInput, SchoolView } from '@jasperwren/contract/school';
import { api } from '../app/api';

/** How the audit trail is narrowed, see `auditFilters` of the contract. */
export type AuditFilter = Readonly<
  Partial<Record<'from' | 'to' | 'account' | 'learner' | 'action' | 'before', string>>
>;

export const auditQuery = (filter: AuditFilter): string =>
  new URLSearchParams(Object.entries(filter).filter(([, value]) => value)).toString();

export const schoolApi = api.injectEndpoints({
  endpoints: (build) => ({
    school: build.query<SchoolView, void>({ query: () => '/school', providesTags: ['School'] }),
    editSchool: build.mutation<SchoolView, SchoolInput>({
      query: (body) => ({ url: '/school', method: 'PUT', body }),
      invalidatesTags: (school) => (school ? ['School', 'Session', 'OutOfTime'] : []),
    }),
    closeSchool: build.mutation<void, { readonly name: string }>({
      query: (body) => ({ url: '/school/close', method: 'POST', body }),
    }),
    accounts: build.query<readonly AccountView[], void>({ query: () => '/accounts', providesTags: ['People'] }),
    people: build.query<readonly PersonView[], void>({ query: () => '/people', providesTags: ['People'] }),
    invite: build.mutation<AccountView & { readonly link: PasswordLink }, Invitation>({
      query: (body) => ({ url: '/accounts', method: 'POST', body }),
      invalidatesTags: ['People', 'Session'],
    }),
    editAccount: build.mutation<AccountView, { readonly id: string; readonly body: AccountEdit }>({
      query: ({ id, body }) => ({ url: `/accounts/${id}`, method: 'PUT', body }),
      invalidatesTags: ['People', 'Session', 'Drives', 'Learners'],
    }),
    setDisabled: build.mutation<void, { readonly id: string; readonly disabled: boolean }>({
      query: ({ id, disabled }) => ({ url: `/accounts/${id}/disabled`, method: disabled ? 'PUT' : 'DELETE' }),
      invalidatesTags: ['People'],
    }),
    handOver: build.mutation<HandedOver, { readonly id: string; readonly toAccountId: string }>({
      query: ({ id, toAccountId }) => ({ url: `/accounts/${id}/hand-over`, method: 'POST', body: { toAccountId } }),
      invalidatesTags: ['People', 'Learners', 'Lessons'],
    }),
    sendPasswordLink: build.mutation<PasswordLink, string>({
      query: (id) => ({ url: `/accounts/${id}/password-link`, method: 'POST' }),
    }),
    signOutAccount: build.mutation<void, string>({
      query: (id) => ({ url: `/accounts/${id}/sign-ins`, method: 'DELETE' }),
      invalidatesTags: ['People'],
    }),
    removeFactor: build.mutation<void, string>({
      query: (id) => ({ url: `/accounts/${id}/factor`, method: 'DELETE' }),
      invalidatesTags: ['People'],
    }),
    audit: build.query<AuditPage, AuditFilter>({
      query: (filter) => `/audit?${auditQuery(filter)}`,
      keepUnusedDataFor: 0,
    }),
    erased: build.query<ErasedIds, void>({ query: () => '/erased', keepUnusedDataFor: 0 }),
    eraseLearner: build.mutation<ErasureReceipt, { readonly id: string; readonly name: string }>({
      query: ({ id, name }) => ({ url: `/learners/${id}/erase`, method: 'POST', body: { name } }),
      invalidatesTags: ['OutOfTime'],
    }),
    outOfTime: build.query<readonly OutOfTime[], void>({ query: () => '/retention', providesTags: ['OutOfTime'] }),
    eraseOutOfTime: build.mutation<readonly ErasureReceipt[], readonly string[]>({
      query: (learnerIds) => ({ url: '/retention', method: 'POST', body: { learnerIds } }),
      invalidatesTags: ['OutOfTime', 'Learners', 'Drives'],
    }),
  }),
});

export const {
  useSchoolQuery,
  useEditSchoolMutation,
  useCloseSchoolMutation,
  useAccountsQuery,
  usePeopleQuery,
  useInviteMutation,
  useEditAccountMutation,
  useSetDisabledMutation,
  useHandOverMutation,
  useSendPasswordLinkMutation,
  useSignOutAccountMutation,
  useRemoveFactorMutation,
  useAuditQuery,
  useEraseLearnerMutation,
  useOutOfTimeQuery,
  useEraseOutOfTimeMutation,
} = schoolApi;
