/** What the other features see of readiness. */
export { JudgementWord } from './JudgementWord';
export { useSchoolReadiness } from './use-school-readiness';
