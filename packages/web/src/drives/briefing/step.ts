import type { BriefingStep } from '@jasperwren/core/marking/briefing';

export type Step<K extends BriefingStep['kind']> = Extract<BriefingStep, { kind: K }>;
