import { wordsOf } from './words';

export const resource = {
  questionOf: 'Next: {{rule}}',
  numberOf: 'Question {{n}} of {{of}}',
  another: 'Another question',
  askNow: 'Ask now',
  askRule: 'Ask now: {{rule}}',
} as const;

export const t = wordsOf('ask', resource);
