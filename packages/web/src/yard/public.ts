/** What the console sees of the yard. */
export { driveSimulated, keepSimulated, learners, newLearner, simulatedRows, type LearnerKind } from './feed/simulated';
export { watchRun, type Hearing } from './feed/watch-run';
