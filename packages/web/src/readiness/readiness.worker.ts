import { estimate, history, whatMovesIt } from '@jasperwren/core/readiness/estimate';
import { expectedOn, readyBy } from '@jasperwren/core/readiness/plan';
import { expose } from 'comlink';

/** Simulation off the main thread. */
const readinessWork = { estimate, history, whatMovesIt, expectedOn, readyBy };
export type ReadinessWork = typeof readinessWork;

expose(readinessWork);
