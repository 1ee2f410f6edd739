/** What the other features and the shell see of the safety questions. */
export { DrillSession } from './drill/DrillSession';
export { NumbersRound } from './drill/NumbersRound';
export { Standing } from './drill/Standing';
export { useDrillSource, vehiclesOf, type DrillSource } from './drill/source';
export { OralMarking } from './oral/OralMarking';
export { SafeMoments } from './safe/SafeMoments';
