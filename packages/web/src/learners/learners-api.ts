import type { DriveSummary } from '@jasperwren/contract/drives';
import type { LearnerInput, LearnerView } from '@jasperwren/contract/learners';
import { api } from '../app/api';

export const learnersApi = api.injectEndpoints({
  endpoints: (build) => ({
    learners: build.query<readonly LearnerView[], { readonly archived: boolean }>({
      query: ({ archived }) => `/learners${archived ? '?archived=1' : ''}`,
      providesTags: ['Learners'],
    }),
    learner: build.query<LearnerView, string>({ query: (id) => `/learners/${id}`, providesTags: ['Learners'] }),
    learnerDrives: build.query<readonly DriveSummary[], string>({
      query: (id) => `/learners/${id}/drives`,
      providesTags: ['Drives'],
    }),
    addLearner: build.mutation<LearnerView, LearnerInput>({
      query: (body) => ({ url: '/learners', method: 'POST', body }),
      invalidatesTags: ['Learners'],
    }),
    editLearner: build.mutation<LearnerView, { readonly id: string; readonly input: LearnerInput }>({
      query: ({ id, input }) => ({ url: `/learners/${id}`, method: 'PUT', body: input }),
      invalidatesTags: ['Learners'],
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
