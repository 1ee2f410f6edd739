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
