/** What the other features and the shell see of drives. */
export { SharedView } from './debrief/SharedView';
export { clockOf, eventsArrived, learnerOf, learnFromOtherTabs } from './log/sent';
export { useUnfinishedHere } from './log/use-unfinished';
export { ToFinishRow } from './ToFinishRow';
export { toFinishOf } from './to-finish';
