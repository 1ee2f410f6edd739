import type { QuestionProblem } from '@jasperwren/core/safety-questions/question';
import { controlNames, type ProfileProblem } from '@jasperwren/core/safety-questions/vehicle';
import { wordsOf } from './words';

export const resource = {
  'no-topic': 'Name the topic.',
  'no-question': 'Enter the question.',
  'no-points': 'Give at least one key point.',
  'point-without-words': 'A key point has no words.',
  'nothing-required': 'Mark at least one key point as required: without one, nothing makes an answer wrong.',
  'code-twice': 'Two key points have the same code.',
  'strange-step': 'A step is not among the key points.',
  nameTheCar: 'Name the car.',
  sayHow: 'Say how the {{control}} works.',
} as const;

const t = wordsOf('question-problems', resource);

/** What is wrong with a question that was written, as an order. */
export const questionProblem = (problem: QuestionProblem): string => t(problem);

/** What is wrong with the profile of a car, as an order. */
export const profileProblem = (problem: ProfileProblem): string =>
  problem.kind === 'no-name' ? t('nameTheCar') : t('sayHow', { control: controlNames[problem.control] });
