/** The route by which something kept here goes to the server, and whose it is. Each lane keeps its order. */
export type Lane =
  | `sendEvents ${string}`
  | `sendFixes ${string}`
  | `sendVoice ${string}`
  | `dropVoice ${string}`
  | `addReviews ${string}`
  | `addMyReviews ${string}`
  | `setFreeHours ${string}`;

export const laneOfDrive = (driveId: string): Lane => `sendEvents ${driveId}`;
export const laneOfReviews = (learnerId: string): Lane => `addReviews ${learnerId}`;
export const laneOfTrace = (driveId: string): Lane => `sendFixes ${driveId}`;
export const laneOfVoices = (driveId: string): Lane => `sendVoice ${driveId}`;
export const laneOfDroppedVoices = (driveId: string): Lane => `dropVoice ${driveId}`;
/** A learner who is signed in sends their own. */
export const laneOfOwnReviews = (learnerId: string): Lane => `addMyReviews ${learnerId}`;
export const laneOfHours = (accountId: string): Lane => `setFreeHours ${accountId}`;

/** The route of a lane, and whose it is. */
export function partsOf(lane: Lane): readonly [route: RouteOfLane, of: string] {
  const at = lane.indexOf(' ');
  return [lane.slice(0, at) as RouteOfLane, lane.slice(at + 1)];
}
export type RouteOfLane = Lane extends `${infer Route} ${string}` ? Route : never;
