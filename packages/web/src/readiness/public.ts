/** What the other features see of readiness. */
export { EstimatedAt } from './EstimatedAt';
export { JudgementWord } from './JudgementWord';
export { LessonAim } from './LessonAim';
export { Perches } from './Perches';
export { ReadinessUnavailable } from './ReadinessUnavailable';
export { useSchoolReadiness } from './use-school-readiness';
