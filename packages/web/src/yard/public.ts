import { lazyOrNothing } from '../base/lazy-or-nothing';

/** What the console sees of the yard. */
export { driveSimulated, keepSimulated, learners, newLearner, type LearnerKind } from './feed/simulated';
export { watchRun, type Hearing } from './feed/watch-run';
/** The samples of a run, as they come. */
export { useRunSamples } from './runs/use-run-samples';
export { RunAwaited } from './runs/RunAwaited';
/** The exercises of a mock test in the order of the course. */
export const CourseTable = lazyOrNothing(() => import('./runs/CourseTable'));
/** What sensors said around a fault. */
export const FaultStrip = lazyOrNothing(() => import('./runs/FaultStrip'));
/** The exercises of a learner over their mock tests. */
export const ExerciseTable = lazyOrNothing(() => import('./ExerciseTable'));
