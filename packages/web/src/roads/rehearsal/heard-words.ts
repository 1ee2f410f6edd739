import { signalMoments } from '@jasperwren/core/routes/rehearsal';
import type { HeardCall, HeardQuestion } from '@jasperwren/core/routes/listening';
import { capital } from '@jasperwren/words/lists';
import { t } from '@jasperwren/words/rehearsal';
import { callSentence, ordinal } from '@jasperwren/words/roads/directions';
import type { Units } from '@jasperwren/words/roads/distances';

/** What is heard, in the words of whoever speaks. The lane is not said: it is asked. */
export function heardSentence({ call, speaker, distance, miscounted }: HeardCall, units: Units): string {
  const { lanes: _, ...decision } = call.decision;
  const said = miscounted === undefined ? decision : { ...decision, exit: miscounted };
  return callSentence({ ...call, decision: said, distance }, { speaker }, units);
}

/** A question about a heard call, with its answers. */
export function questionWords(question: HeardQuestion, heard: HeardCall, sentence: string) {
  const of = (words: string) => (question.of === 'then' ? t('andThen', { question: words }) : words);
  switch (question.kind) {
    case 'exit':
      return {
        question:
          heard.miscounted !== undefined && question.of === 'first'
            ? t('miscounted', { said: sentence, right: ordinal(question.right) })
            : of(t('whichExit')),
        choices: Array.from({ length: question.exits }, (_, i) => ({
          key: i,
          words: t('nthExit', { nth: capital(ordinal(i + 1)) }),
          right: i + 1 === question.right,
        })),
      };
    case 'lane':
      return {
        question: of(t('whichLane')),
        choices: Array.from({ length: question.lanes }, (_, i) => ({
          key: i,
          words: t('nthLane', { nth: capital(ordinal(i + 1)) }),
          right: question.right.includes(i + 1),
        })),
      };
    case 'signal':
      return {
        question: of(t('whenSignal')),
        choices: signalMoments.map((key) => ({ key, words: t(`signal-${key}`), right: key === question.right })),
      };
    case 'way':
      return {
        question: of(t('whichWay')),
        choices: (['left', 'ahead', 'right'] as const).map((key) => ({
          key,
          words: t(key),
          right: key === question.right,
        })),
      };
  }
}
