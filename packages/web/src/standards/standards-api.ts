import type { DraftInput, DraftView, NewStandard, StandardSummary, StandardView } from '@jasperwren/contract/standards';
import type { Standard } from '@jasperwren/core/marking/standard';
import { api } from '../app/api';

const standardsApi = api.injectEndpoints({
  endpoints: (build) => ({
    library: build.query<readonly StandardSummary[], void>({
      query: () => '/standards/library',
      providesTags: ['Standards'],
    }),
    standardView: build.query<StandardView, string>({
      query: (id) => `/standards/${id}`,
      providesTags: ['Standards'],
    }),
    standardVersion: build.query<Standard, { readonly id: string; readonly version: number }>({
      query: ({ id, version }) => `/standards/${id}/versions/${version}`,
    }),
    draft: build.query<DraftView, string>({ query: (id) => `/standards/${id}/draft`, keepUnusedDataFor: 0 }),
    beginStandard: build.mutation<DraftView, NewStandard>({
      query: (body) => ({ url: '/standards', method: 'POST', body }),
      invalidatesTags: ['Standards'],
    }),
    importStandard: build.mutation<DraftView, string>({
      query: (source) => ({ url: '/standards/import', method: 'POST', body: { source } }),
      invalidatesTags: (draft) => (draft ? ['Standards'] : []),
    }),
    saveDraft: build.mutation<DraftView, { readonly id: string; readonly input: DraftInput }>({
      query: ({ id, input }) => ({ url: `/standards/${id}/draft`, method: 'PUT', body: input }),
      invalidatesTags: ['Standards'],
    }),
    dropDraft: build.mutation<void, string>({
      query: (id) => ({ url: `/standards/${id}/draft`, method: 'DELETE' }),
      invalidatesTags: ['Standards'],
    }),
    publish: build.mutation<Standard, string>({
      query: (id) => ({ url: `/standards/${id}/publish`, method: 'POST' }),
      invalidatesTags: ['Standards'],
    }),
    retire: build.mutation<void, { readonly id: string; readonly retired: boolean }>({
      query: ({ id, retired }) => ({ url: `/standards/${id}/retired`, method: retired ? 'PUT' : 'DELETE' }),
      invalidatesTags: ['Standards'],
    }),
  }),
});

export const {
  useLibraryQuery,
  useStandardViewQuery,
  useStandardVersionQuery,
  useDraftQuery,
  useBeginStandardMutation,
  useImportStandardMutation,
  useSaveDraftMutation,
  useDropDraftMutation,
  usePublishMutation,
  useRetireMutation,
} = standardsApi;
