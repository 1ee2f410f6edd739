/** Kinds of place, by the category of a behaviour; what can happen anywhere has none. */
const placeByCategory: Readonly<Record<string, Place>> = {
  junctions: 'crossing-ways',
  roundabouts: 'crossing-ways',
  crossings: 'crossing-ways',
  signs: 'crossing-ways',
  position: 'between',
  speed: 'between',
  clearance: 'between',
  meeting: 'between',
  'fast-roads': 'between',
  'moving-off': 'kerb',
  stopping: 'kerb',
  reversing: 'manoeuvres',
  'emergency-stop': 'manoeuvres',
  yard: 'manoeuvres',
};

export type Place = 'crossing-ways' | 'between' | 'kerb' | 'manoeuvres';

/** The kind of place at which a behaviour of the catalogue shows. */
export function placeOf(behaviour: string): Place | undefined {
  return placeByCategory[behaviour.slice(0, behaviour.indexOf('.'))];
}
