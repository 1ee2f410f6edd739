import { keyPoint, type SafetyQuestion } from '../question';
import { signs } from './signs';

/** Signs as questions: what does this one mean? */
export const signQuestions: readonly SafetyQuestion[] = signs.map(({ code, meaning, says }) => ({
  id: `sign.${code}`,
  version: 1,
  kind: 'rules',
  topic: 'Signs',
  ask: 'What does this sign tell you?',
  sign: code,
  points: [keyPoint('!meaning', `${meaning}.`, ...says)],
}));
