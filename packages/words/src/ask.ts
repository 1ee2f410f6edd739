import { wordsOf } from './words';

export const resource = {
  questionOf: 'Next: {{rule}}',
  numberOf: 'Question {{n}} of {{of}}',
  another: 'Another question',
} as const;

export const t = wordsOf('ask', resource);
