import type { FreeHoursList, FreeHoursView, LessonPlan, LessonsView } from '@jasperwren/contract/lessons';
import type { ReadinessInput, SchoolReadiness } from '@jasperwren/contract/readiness';
import { api, everybodys } from '../app/api';

const readinessApi = api.injectEndpoints({
  endpoints: (build) => ({
    readinessInput: build.query<ReadinessInput, string>({
      query: (learnerId) => `/learners/${learnerId}/readiness`,
      providesTags: (_, __, id) => [
        { type: 'Drives', id },
        { type: 'Reviews', id },
        { type: 'Learners', id },
        'Sheets',
        'Checks',
      ],
    }),
    schoolReadiness: build.query<SchoolReadiness, void>({
      query: () => '/readiness',
      providesTags: [everybodys('Drives'), everybodys('Reviews'), everybodys('Learners'), 'Sheets', 'Checks'],
    }),
    lessons: build.query<LessonsView, string>({
      query: (learnerId) => `/learners/${learnerId}/lessons`,
      providesTags: ['Lessons'],
    }),
    keepLessons: build.mutation<LessonsView, { readonly learnerId: string; readonly plan: LessonPlan }>({
      query: ({ learnerId, plan }) => ({ url: `/learners/${learnerId}/lessons`, method: 'PUT', body: plan }),
      // The answer is the plan as it stands: there is no moment in which the page shows the one before.
      onQueryStarted: async ({ learnerId }, { dispatch, queryFulfilled }) => {
        await queryFulfilled.then(
          ({ data }) => dispatch(readinessApi.util.upsertQueryData('lessons', learnerId, data)),
          () => undefined,
        );
      },
    }),
    setFreeHours: build.mutation<FreeHoursView, FreeHoursList>({
      query: (body) => ({ url: '/free-hours', method: 'PUT', body }),
      invalidatesTags: (kept) => (kept ? ['Lessons'] : []),
    }),
  }),
});

/** Has the pages show these lessons of a learner. */
export const showLessons = (learnerId: string, lessons: LessonsView) =>
  readinessApi.util.upsertQueryData('lessons', learnerId, lessons);

export const {
  useReadinessInputQuery,
  useSchoolReadinessQuery,
  useLessonsQuery,
  useKeepLessonsMutation,
  useSetFreeHoursMutation,
} = readinessApi;
