import type { DriveSummary } from '@jasperwren/contract/drives';
import type { LearnerEdit, LearnerInput, LearnerView } from '@jasperwren/contract/learners';
import { api, everybodys } from '../app/api';

export const learnersApi = api.injectEndpoints({
  endpoints: (build) => ({
    learners: build.query<readonly LearnerView[], { readonly archived: boolean }>({
      query: ({ archived }) => `/learners${archived ? '?archived=1' : ''}`,
      providesTags: [everybodys('Learners')],
    }),
    learner: build.query<LearnerView, string>({
      query: (id) => `/learners/${id}`,
      providesTags: (_, __, id) => [{ type: 'Learners', id }],
    }),
    learnerDrives: build.query<readonly DriveSummary[], string>({
      query: (id) => `/learners/${id}/drives`,
      providesTags: (_, __, id) => [{ type: 'Drives', id }],
    }),
    addLearner: build.mutation<LearnerView, LearnerInput>({
      query: (body) => ({ url: '/learners', method: 'POST', body }),
      invalidatesTags: ['Learners'],
    }),
    editLearner: build.mutation<LearnerView, { readonly id: string; readonly input: LearnerEdit }>({
      query: ({ id, input }) => ({ url: `/learners/${id}`, method: 'PUT', body: input }),
      invalidatesTags: (learner) => (learner ? ['Learners'] : []),
    }),
    archiveLearner: build.mutation<LearnerView, { readonly id: string; readonly archived: boolean }>({
      query: ({ id, archived }) => ({ url: `/learners/${id}/archived`, method: archived ? 'PUT' : 'DELETE' }),
      invalidatesTags: ['Learners'],
    }),
  }),
});

export const {
  useLearnersQuery,
  useLearnerQuery,
  useLearnerDrivesQuery,
  useLazyLearnerDrivesQuery,
  useAddLearnerMutation,
  useEditLearnerMutation,
  useArchiveLearnerMutation,
} = learnersApi;

export const usePrefetchLearners = learnersApi.usePrefetch;
