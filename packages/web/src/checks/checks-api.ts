import type {
  AccessCode,
  AccessKind,
  BoardView,
  ChecksView,
  KeptVersion,
  QuestionInput,
  VehicleInput,
} from '@jasperwren/contract/checks';
import type { LearnerView } from '@jasperwren/contract/learners';
import type { Review } from '@jasperwren/core/checks/memory';
import type { CheckQuestion } from '@jasperwren/core/checks/question';
import type { VehicleProfile } from '@jasperwren/core/checks/vehicle';
import { api, everybodys } from '../app/api';

/** An id where something that exists is changed; none where it is new. */
interface Kept<T> {
  readonly id?: string | undefined;
  readonly input: T;
}

const checksApi = api.injectEndpoints({
  endpoints: (build) => ({
    checks: build.query<ChecksView, void>({ query: () => '/checks', providesTags: ['Checks'] }),
    board: build.query<BoardView, void>({
      query: () => '/checks/board',
      providesTags: ['Checks', everybodys('Reviews')],
    }),
    keepQuestion: build.mutation<CheckQuestion, Kept<QuestionInput>>({
      query: ({ id, input }) =>
        id === undefined
          ? { url: '/checks/questions', method: 'POST', body: input }
          : { url: `/checks/questions/${id}`, method: 'PUT', body: input },
      invalidatesTags: ['Checks'],
    }),
    questionVersions: build.query<readonly KeptVersion<CheckQuestion>[], string>({
      query: (id) => `/checks/questions/${id}/versions`,
      providesTags: ['Checks'],
    }),
    retireQuestion: build.mutation<void, { readonly id: string; readonly retired: boolean }>({
      query: ({ id, retired }) => ({ url: `/checks/questions/${id}/retired`, method: retired ? 'PUT' : 'DELETE' }),
      invalidatesTags: ['Checks'],
    }),
    keepVehicle: build.mutation<VehicleProfile, Kept<VehicleInput>>({
      query: ({ id, input }) =>
        id === undefined
          ? { url: '/checks/vehicles', method: 'POST', body: input }
          : { url: `/checks/vehicles/${id}`, method: 'PUT', body: input },
      invalidatesTags: ['Checks'],
    }),
    learnerReviews: build.query<readonly Review[], string>({
      query: (id) => `/learners/${id}/reviews`,
      providesTags: (_, __, id) => [{ type: 'Reviews', id }],
    }),
    chooseVehicle: build.mutation<LearnerView, { readonly id: string; readonly vehicleId: string | undefined }>({
      query: ({ id, vehicleId }) => ({ url: `/learners/${id}/vehicle`, method: 'PUT', body: { vehicleId } }),
      invalidatesTags: ['Learners'],
    }),
    letIn: build.mutation<AccessCode, { readonly id: string; readonly kind: AccessKind }>({
      query: ({ id, kind }) => ({ url: `/learners/${id}/access`, method: 'POST', body: { kind } }),
    }),
    endAccess: build.mutation<void, string>({
      query: (id) => ({ url: `/learners/${id}/access`, method: 'DELETE' }),
    }),
  }),
});

export const {
  useChecksQuery,
  useBoardQuery,
  useKeepQuestionMutation,
  useQuestionVersionsQuery,
  useRetireQuestionMutation,
  useKeepVehicleMutation,
  useLearnerReviewsQuery,
  useChooseVehicleMutation,
  useLetInMutation,
  useEndAccessMutation,
} = checksApi;
