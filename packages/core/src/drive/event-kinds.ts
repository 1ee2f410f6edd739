/** The words that stand in fields of events. */

export const checkResults = ['done', 'failed', 'skipped'] as const;

/** What is counted within a go at an exercise. */
export const exerciseStepKinds = ['movement', 'shunt', 'correction', 'look'] as const;

/** What is counted over the whole drive. */
export const roadStepKinds = ['pull-up', 'move-off'] as const;

export const stepKinds = [...exerciseStepKinds, ...roadStepKinds] as const;
export const attemptResults = ['failed'] as const;
export const sectionKinds = ['guided', 'independent', 'exercise'] as const;
export const endings = ['completed', 'abandoned'] as const;

/** Whose doing it is that a drive is broken off: the standard says what each amounts to. */
export const endingCauses = ['learner', 'safety', 'car', 'conditions'] as const;
export const familiarities = ['known', 'partly', 'new'] as const;

/** The usual reasons for what is done on a drive. Others are given in somebody's own words. */
export const usualReasons = [
  'undone',
  'removed',
  'restored',
  'wrong-box',
  'misread',
  'not-the-learner',
  'too-harsh',
  'no-fault',
  'already-recorded',
  'same-twice',
  'measured',
  'adviser',
  'repeated',
  'earlier-lesson',
  'not-today',
  'no-time',
  'glasses',
  'toilet',
  'breakdown',
  'weather',
  'talking',
  'road-closed',
  'too-much-help',
  'danger',
  'not-fit',
  'nerves',
  'not-well',
  'puncture',
  'warning-light',
  'accident-ahead',
  'short-lesson',
  'one-part',
  'eyesight',
] as const;
