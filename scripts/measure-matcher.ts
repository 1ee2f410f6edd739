// npm run matcher: how well typed answers are read, on answers written by hand.
import { bankOf } from '@jasperwren/core/safety-questions/bank/bank';
import { heardIn } from '@jasperwren/core/safety-questions/match';
import { freshAnswers, shapingAnswers, type SpokenAnswer } from '@jasperwren/core/safety-questions/testing-answers';

const questions = new Map(bankOf([]).map((question) => [question.id, question]));

function measure(name: string, answers: readonly SpokenAnswer[], verbose: boolean): void {
  let [truePoints, falsePoints, missedPoints, passedWrongly] = [0, 0, 0, 0];
  for (const [id, words, expected] of answers) {
    const question = questions.get(id)!;
    const wanted = new Set(expected.split(' ').filter(Boolean));
    const { heard, right } = heardIn(question, words);
    const shouldPass = question.points.every(({ code, critical }) => !critical || wanted.has(code)) && wanted.size > 0;
    if (right && !shouldPass) passedWrongly++;
    const extra = heard.filter((code) => !wanted.has(code));
    const lost = [...wanted].filter((code) => !heard.includes(code));
    truePoints += heard.length - extra.length;
    falsePoints += extra.length;
    missedPoints += lost.length;
    if (verbose && extra.length + lost.length > 0)
      console.log(
        `  ${id}: “${words}”${extra.length ? ` heard too much: ${extra.join(' ')}` : ''}${lost.length ? ` not heard: ${lost.join(' ')}` : ''}`,
      );
  }
  const percent = (share: number) => `${(100 * share).toFixed(1)} %`;
  console.log(
    `${name}: ${answers.length} answers, precision ${percent(truePoints / (truePoints + falsePoints))}, recall ${percent(truePoints / (truePoints + missedPoints))}, passed wrongly ${passedWrongly}`,
  );
}

measure('Answers that shaped the matcher', shapingAnswers, true);
measure('Answers it had not seen', freshAnswers, process.argv.includes('--all'));
