import { estimate, history, whatMovesIt } from '@jasperwren/core/readiness/estimate';
import { expose } from 'comlink';

/** Simulation off the main thread. */
const readinessWork = { estimate, history, whatMovesIt };
export type ReadinessWork = typeof readinessWork;

expose(readinessWork);
