/** The measures of the ground by their names, in metres. */
export type Space = Readonly<Partial<Record<SpaceName, number>>>;
export const spaceNames = [
  'roadM',
  'bayM',
  'depthM',
  'aisleM',
  'gapM',
  'sideRoadM',
  'cornerM',
  'laneM',
  'lengthM',
  'areaLongM',
  'areaWideM',
] as const;
export type SpaceName = (typeof spaceNames)[number];
