import { atJunctions } from './at-junctions';
import { beforeDriving } from './before-driving';
import type { Behaviour, BehaviourCategory } from './behaviour';
import { exercises } from './exercises';
import { onTheRoad } from './on-the-road';

const groups: readonly BehaviourCategory[] = [...beforeDriving, ...onTheRoad, ...atJunctions, ...exercises];

/** The order of a drive: letters of the categories, as a board on the desk would show them. */
const driveOrder = 'QSKMIGNPJRLFCTXAOEVY';

/** All categories of behaviour, in the order of a drive. */
export const behaviourCategories: readonly BehaviourCategory[] = [...groups].sort(
  (a, b) => driveOrder.indexOf(a.letter) - driveOrder.indexOf(b.letter),
);

/** All behaviours, category by category. */
export const behaviours: readonly Behaviour[] = behaviourCategories.flatMap((group) => group.behaviours);

const byCode = new Map(behaviours.map((behaviour) => [behaviour.code, behaviour]));

/** The behaviour with this code, or undefined where the catalogue has none. */
export function findBehaviour(code: string): Behaviour | undefined {
  return byCode.get(code);
}
