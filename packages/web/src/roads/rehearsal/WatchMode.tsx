import { nextCall, questionsOf, signalMoments, type CallQuestion } from '@jasperwren/core/routes/rehearsal';
import type { PlacedCall } from '@jasperwren/core/routes/read-route';
import { instructorStyle } from '@jasperwren/roads/directions/calls';
import { t } from '@jasperwren/words/rehearsal';
import { callSentence, ordinal } from '@jasperwren/words/roads/directions';
import { capital } from '@jasperwren/words/lists';
import { useEffect, useState } from 'react';
import { Caption } from './Caption';
import { Choices } from './Choices';
import type { ModeProps } from './mode';
import { useScore } from './use-score';

/** A question comes this many metres before its call. */
const askBefore = 25;

/** A learner watches as a passenger would, and is asked before each call. */
export function WatchMode({
  reading,
  units,
  side,
  metres,
  playing,
  setPlaying,
  aloud,
}: ModeProps & { readonly aloud: boolean }) {
  const { calls } = reading;
  const { score, told, settle } = useScore();
  /** How many questions of a call were answered. */
  const [answered, setAnswered] = useState<ReadonlyMap<PlacedCall, number>>(new Map());
  const next = nextCall(calls, metres);
  const question = next && questionsOf(next, side)[answered.get(next) ?? 0];
  const asking = question !== undefined && metres >= next!.at - askBefore;
  useEffect(() => {
    if (asking && playing) setPlaying(false);
  }, [asking, playing, setPlaying]);
  const spoken = calls.findLast((call) => call.at <= metres && call.at + call.distance > metres - 5);
  const sentence = spoken && !asking ? callSentence(spoken, instructorStyle, units) : '';
  useEffect(() => {
    if (!aloud || !sentence || !('speechSynthesis' in window)) return;
    window.speechSynthesis.speak(new SpeechSynthesisUtterance(sentence));
  }, [aloud, sentence]);
  return (
    <Caption score={score}>
      {asking ? (
        <Choices
          {...wordsOf(question)}
          onAnswer={(right, words) => {
            const count = (answered.get(next!) ?? 0) + 1;
            setAnswered(new Map(answered).set(next!, count));
            settle(right, words);
            setPlaying(count >= questionsOf(next!, side).length);
          }}
        />
      ) : (
        <p>{sentence || told || t('followTheRoad')}</p>
      )}
    </Caption>
  );
}

function wordsOf(question: CallQuestion) {
  switch (question.kind) {
    case 'exit':
      return {
        question: t('whichExit'),
        choices: Array.from({ length: question.exits }, (_, i) => ({
          key: i,
          words: t('nthExit', { nth: capital(ordinal(i + 1)) }),
          right: i + 1 === question.right,
        })),
      };
    case 'lane':
      return {
        question: t('whichLane'),
        choices: Array.from({ length: question.lanes }, (_, i) => ({
          key: i,
          words: t('nthLane', { nth: capital(ordinal(i + 1)) }),
          right: question.right.includes(i + 1),
        })),
      };
    case 'signal':
      return {
        question: t('whenSignal'),
        choices: signalMoments.map((key) => ({ key, words: t(`signal-${key}`), right: key === question.right })),
      };
    case 'way':
      return {
        question: t('whichWay'),
        choices: (['left', 'ahead', 'right'] as const).map((key) => ({
          key,
          words: t(key),
          right: key === question.right,
        })),
      };
  }
}
