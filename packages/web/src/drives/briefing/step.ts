import type { BriefingStep } from '@jasperwren/core/marking/standard';

export type Step<K extends BriefingStep['kind']> = Extract<BriefingStep, { kind: K }>;
