import { heardCalls, heardQuestions, type HeardCall } from '@jasperwren/core/routes/listening';
import type { CallStyle } from '@jasperwren/roads/directions/calls';
import { t } from '@jasperwren/words/rehearsal';
import Button from '@mui/material/Button';
import { useEffect, useMemo, useState } from 'react';
import { Caption } from './Caption';
import { Choices } from './Choices';
import { heardSentence, questionWords } from './heard-words';
import type { ModeProps } from './mode';
import { SatNav } from './SatNav';
import { useScore } from './use-score';

interface Props extends ModeProps {
  readonly aloud: boolean;
  /** When the sat nav speaks. */
  readonly device: CallStyle;
  readonly goTo: (metres: number) => void;
  /** Which roundabout is miscounted; another number gives another. */
  readonly seed: number;
}

/** A call that is heard again is begun this many metres before. */
const runUp = 40;
/** A call whose junction lies farther behind, in metres, was leapt over. */
const passed = 5;

/** A learner hears each call at its time, then chooses lane, signal and opening; what was heard wrong is asked again. */
export function ListenMode({ reading, units, side, metres, playing, setPlaying, aloud, device, goTo, seed }: Props) {
  const heard = useMemo(() => heardCalls(reading, seed % 3, device), [reading, seed, device]);
  const { score, told, settle } = useScore();
  /** How many questions of a call were answered this time round. */
  const [answered, setAnswered] = useState<ReadonlyMap<HeardCall, number>>(new Map());
  /** Calls of which an answer was wrong, to be heard again. */
  const [missed, setMissed] = useState<ReadonlySet<HeardCall>>(new Set());
  /** Those that are heard again, the one at hand first. */
  const [again, setAgain] = useState<readonly HeardCall[]>([]);
  const pool = again.length > 0 ? again.slice(0, 1) : heard;
  const now = pool.findLast(({ at, call }) => at <= metres && call.decision.metres > metres - passed);
  const questions = useMemo(() => (now ? heardQuestions(now, side) : []), [now, side]);
  const count = now ? (answered.get(now) ?? 0) : 0;
  const question = questions[count];
  const sentence = now ? heardSentence(now, units) : '';
  const spoken = aloud && 'speechSynthesis' in window;
  useEffect(() => {
    if (question && playing) setPlaying(false);
  }, [question, playing, setPlaying]);
  useEffect(() => {
    if (spoken && sentence) speak(sentence);
  }, [spoken, sentence]);
  const hearAgain = (calls: readonly HeardCall[]) => {
    const [first] = calls;
    setAgain(calls);
    if (!first) return;
    setAnswered((before) => new Map([...before].filter(([one]) => one !== first)));
    goTo(Math.max(0, first.at - runUp));
    setPlaying(true);
  };
  const answer = (right: boolean, words: string) => {
    if (!now) return;
    setAnswered(new Map(answered).set(now, count + 1));
    const misheard = !right || (count > 0 && missed.has(now));
    setMissed((before) => new Set([...before].filter((one) => one !== now).concat(misheard ? [now] : [])));
    settle(right, words);
    if (count + 1 < questions.length) return;
    if (again.length > 0) hearAgain(again.slice(1));
    else setPlaying(true);
  };
  const offers = !question && again.length === 0 && missed.size > 0 && !playing;
  return (
    <>
      <SatNav heard={heard} reading={reading} metres={metres} units={units} />
      <Caption score={score}>
        {question ? (
          <>
            {spoken ? (
              <Button variant="text" onClick={() => speak(sentence)}>
                {t('hearAgain')}
              </Button>
            ) : (
              <p>“{sentence}”</p>
            )}
            <Choices key={`${now!.at} ${count}`} {...questionWords(question, now!, sentence)} onAnswer={answer} />
          </>
        ) : (
          <>
            <p>{(!spoken && sentence) || told || t('followTheRoad')}</p>
            {offers && (
              <Button variant="outlined" onClick={() => hearAgain([...missed].sort((a, b) => a.at - b.at))}>
                {t('hearMissed', { count: missed.size })}
              </Button>
            )}
          </>
        )}
      </Caption>
    </>
  );
}

function speak(sentence: string): void {
  window.speechSynthesis.cancel();
  window.speechSynthesis.speak(new SpeechSynthesisUtterance(sentence));
}
