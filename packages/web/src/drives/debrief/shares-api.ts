import type { NewShare, SharedDebrief, ShareView } from '@jasperwren/contract/shares';
import { api } from '../../app/api';

const sharesApi = api.injectEndpoints({
  endpoints: (build) => ({
    shares: build.query<readonly ShareView[], string>({
      query: (driveId) => `/drives/${driveId}/shares`,
      providesTags: ['Shares'],
    }),
    addShare: build.mutation<NewShare, { readonly driveId: string; readonly days: number }>({
      query: ({ driveId, days }) => ({ url: `/drives/${driveId}/shares`, method: 'POST', body: { days } }),
      invalidatesTags: ['Shares'],
    }),
    revokeShare: build.mutation<void, { readonly driveId: string; readonly id: string }>({
      query: ({ driveId, id }) => ({ url: `/drives/${driveId}/shares/${id}`, method: 'DELETE' }),
      invalidatesTags: ['Shares'],
    }),
    shared: build.query<SharedDebrief, string>({ query: (token) => `/shared/${token}` }),
  }),
});

export const { useSharesQuery, useAddShareMutation, useRevokeShareMutation, useSharedQuery } = sharesApi;
