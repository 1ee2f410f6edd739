import type { LessonsView } from '@jasperwren/contract/lessons';
import { api } from '../base/api';

/** Has the pages show these lessons of a learner. */
export const showLessons = (learnerId: string, lessons: LessonsView) =>
  api.util.upsertQueryData('lessons', { learnerId }, lessons);

api.enhanceEndpoints({
  endpoints: {
    keepLessons: {
      // The answer is the plan as it stands: there is no moment in which the page shows the one before.
      onQueryStarted: async ({ learnerId }, { dispatch, queryFulfilled }) => {
        await queryFulfilled.then(
          ({ data }) => dispatch(showLessons(learnerId, data)),
          () => undefined,
        );
      },
    },
  },
});
