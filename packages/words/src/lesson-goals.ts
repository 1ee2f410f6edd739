import { seekCodes, type LessonGoal, type SeekCode } from '@jasperwren/core/readiness/lesson-goal';
import { wordsOf } from './words';

/** Where each area shows on the road: common practice. */
export const resource = {
  junctions: 'give-way, stop and traffic-light junctions, crossroads with poor visibility',
  roundabouts: 'mini, large and multi-lane roundabouts, different exits',
  mirrors: 'changes of speed and lane: dual carriageways, town streets with parked cars',
  signals: 'junctions close together, roundabouts, pulling up',
  position: 'bends, several lanes, one-way streets',
  speed: 'changes of speed limit, some just after a turn',
  signs: 'traffic lights, one-way systems, a road with many signs',
  'moving-off': 'pulling up on the level, on a hill and behind a parked car',
  stopping: 'pulling up on busy and quiet streets',
  'fast-roads': 'a dual carriageway with slip roads',
  clearance: 'parked cars, cyclists, queues',
  meeting: 'narrow streets with oncoming traffic',
  crossings: 'pedestrian crossings, schools, shops',
  awareness: 'busy streets, independent driving by signs',
  reversing: 'a quiet place for reversing',
  'emergency-stop': 'a straight quiet road, clear behind',
  controls: 'hills, slow traffic, stop and go',
  'set-up': 'before moving off',
  checks: 'before moving off',
  'any-road': 'roads that bring this up',
  'new-roads': 'new roads',
  'legal-place': 'a legal, quiet place',
  'due-questions': 'due questions',
  mock: 'Mock test',
  questions: 'Safety questions',
} as const;

const t = wordsOf('lesson-goals', resource);

/** What a lesson is for, in a word or two. Plans of earlier versions hold the words themselves. */
export function goalName({ kind, name }: LessonGoal): string {
  return name === '' && (kind === 'mock' || kind === 'questions') ? t(kind) : name;
}

/** Where on the road to look for it. Plans of earlier versions hold the words themselves. */
export function goalSeek({ seek }: LessonGoal): string {
  return seekCodes.includes(seek as SeekCode) ? t(seek as SeekCode) : seek;
}
