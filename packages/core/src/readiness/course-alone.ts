import type { Standard } from '../marking/standard';

/**
 * Whether a test is driven in a yard alone: on a course, without a part in which the learner finds the way (house default). It
 * has no new roads, and a whole one is all of its exercises, however short they are.
 */
export const onCourseAlone = ({ course, length }: Pick<Standard, 'course' | 'length'>): boolean =>
  course !== undefined && length.independentMin === undefined;
