import { lazy, Suspense } from 'react';
import { AnswerButtons } from '../AnswerButtons';
import type { AskProps } from './ask-props';

/** Where the questions are not on the device, the instructor asks one of their own. */
const OnlyAnswer = ({ asked, onAnswer }: AskProps) => (
  <AnswerButtons asked={asked} onAnswer={(right) => onAnswer(right)} />
);

const QuestionToAsk = lazy(() => import('./QuestionToAsk').catch(() => ({ default: OnlyAnswer })));

/** The next question of a rule; it arrives after the page (see `fetchAhead`), and an answer can be judged before that. */
export function AskQuestion(props: AskProps) {
  return (
    <Suspense fallback={<OnlyAnswer {...props} />}>
      <QuestionToAsk {...props} />
    </Suspense>
  );
}
