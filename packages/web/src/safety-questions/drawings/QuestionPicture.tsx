import { signs } from '@jasperwren/core/safety-questions/bank/signs';
import type { SafetyQuestion } from '@jasperwren/core/safety-questions/question';
import { SignPicture } from './SignPicture';

/** The sign that a question is about, where it is about one. */
export function QuestionPicture({ question }: { readonly question: Pick<SafetyQuestion, 'sign'> }) {
  const sign = signs.find(({ code }) => code === question.sign);
  return sign ? <SignPicture sign={sign} /> : null;
}
