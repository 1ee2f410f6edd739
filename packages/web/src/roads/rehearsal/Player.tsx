import { nextCall, questionOf, timingOf, type CallQuestion } from '@jasperwren/core/routes/rehearsal';
import type { PlacedCall, RouteReading } from '@jasperwren/core/routes/read-route';
import { instructorStyle } from '@jasperwren/roads/directions/calls';
import { callSentence, ordinal } from '@jasperwren/words/roads/directions';
import { aheadWords, lengthWords, type Units } from '@jasperwren/words/roads/distances';
import { t } from '@jasperwren/words/routes';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import TextField from '@mui/material/TextField';
import { useEffect, useState } from 'react';
import { RouteRibbon } from '../editor/RouteRibbon';
import styles from './rehearsal.module.css';
import { Strip } from './Strip';
import { paces, usePlay } from './use-play';

interface Props {
  readonly reading: RouteReading;
  readonly units: Units;
  /** -1 where traffic keeps left. */
  readonly side: number;
}

type Mode = 'watch' | 'call';

/** From a junction one begins this many metres before its call. */
const runUp = 60;
/** A question comes this many metres before its call. */
const askBefore = 25;

/** Plays the route, asks before each call or judges when one is spoken. */
export function Player({ reading, units, side }: Props) {
  const { calls, metres: whole } = reading;
  const { metres, playing, setPlaying, times, setTimes, goTo } = usePlay(reading);
  const [mode, setMode] = useState<Mode>('watch');
  const [aloud, setAloud] = useState(false);
  const [score, setScore] = useState({ right: 0, asked: 0 });
  const [told, setTold] = useState('');
  const [done, setDone] = useState<ReadonlySet<PlacedCall>>(new Set());
  const next = nextCall(calls, metres);
  const question = mode === 'watch' && next && !done.has(next) ? questionOf(next) : undefined;
  const asking = question !== undefined && next !== undefined && metres >= next.at - askBefore;
  useEffect(() => {
    if (asking && playing) setPlaying(false);
  }, [asking, playing, setPlaying]);
  const spoken =
    mode === 'watch' ? calls.findLast((call) => call.at <= metres && call.at + call.distance > metres - 5) : undefined;
  const sentence = spoken && !asking ? callSentence(spoken, instructorStyle, units) : '';
  useEffect(() => {
    if (!aloud || !sentence || !('speechSynthesis' in window)) return;
    window.speechSynthesis.speak(new SpeechSynthesisUtterance(sentence));
  }, [aloud, sentence]);
  const settle = (right: boolean, words: string) => {
    setDone((before) => new Set(before).add(next!));
    setScore(({ right: before, asked }) => ({ right: before + Number(right), asked: asked + 1 }));
    setTold(words);
    setPlaying(true);
  };
  const callNow = () => {
    if (!next || done.has(next)) return;
    const before = next.decision.metres - metres;
    const timing = timingOf(next, before);
    const key = { early: 'tooEarly', good: 'wellTimed', late: 'tooLate' } as const;
    settle(
      timing === 'good',
      `${callSentence(next, instructorStyle, units)} ${t(key[timing], { distance: aheadWords(Math.max(before, 0), units) })}`,
    );
  };
  const choose = (chosen: Mode) => {
    setMode(chosen);
    setScore({ right: 0, asked: 0 });
    setTold('');
    setDone(new Set());
  };
  return (
    <>
      <Tabs value={mode} onChange={(_, chosen: Mode) => choose(chosen)} textColor="inherit" className={styles.tabs}>
        <Tab value="watch" label={t('watch')} />
        <Tab value="call" label={t('call')} />
      </Tabs>
      <Strip {...{ reading, metres, units, side }} />
      <div className={styles.caption} role="status">
        {asking ? (
          <Question
            question={question}
            onAnswer={(right, answer) => settle(right, right ? t('answeredRight') : t('answeredWrong', { answer }))}
          />
        ) : (
          <p>{sentence || told || t('followTheRoad')}</p>
        )}
        {score.asked > 0 && <span className="muted">{t('rightOfAsked', score)}</span>}
      </div>
      <div className={styles.controls}>
        <Button variant="contained" disabled={asking} onClick={() => setPlaying(!playing)}>
          {playing ? t('pause') : t('play')}
        </Button>
        {mode === 'call' && (
          <Button variant="outlined" onClick={callNow} disabled={!playing}>
            {t('callNow')}
          </Button>
        )}
        <TextField
          select
          size="small"
          label={t('speed')}
          value={times}
          onChange={(event) => setTimes(Number(event.target.value) as typeof times)}
        >
          {paces.map((one) => (
            <MenuItem key={one} value={one}>
              {t('speedTimes', { times: one })}
            </MenuItem>
          ))}
        </TextField>
        <TextField
          select
          size="small"
          label={t('fromJunction')}
          value=""
          sx={{ minWidth: '12rem' }}
          onChange={(event) => goTo(Math.max(0, Number(event.target.value) - runUp))}
        >
          {calls
            .filter(({ again }) => again === undefined)
            .map((call, i) => (
              <MenuItem key={call.at} value={call.at}>
                {i + 1}. {callSentence(call, instructorStyle, units)}
              </MenuItem>
            ))}
        </TextField>
        {'speechSynthesis' in window && (
          <FormControlLabel
            control={<Checkbox checked={aloud} onChange={(event) => setAloud(event.target.checked)} />}
            label={t('speak')}
          />
        )}
        <span className="muted">
          {t('ofRoute', { at: lengthWords(metres, units), whole: lengthWords(whole, units) })}
        </span>
      </div>
      <RouteRibbon reading={reading} at={metres} />
    </>
  );
}

interface QuestionProps {
  readonly question: CallQuestion;
  readonly onAnswer: (right: boolean, answer: string) => void;
}

function Question({ question, onAnswer }: QuestionProps) {
  if (question.kind === 'exit') {
    const answer = t('nthExit', { nth: ordinal(question.right) });
    return (
      <>
        <p>{t('whichExit')}</p>
        {Array.from({ length: question.exits }, (_, i) => (
          <Button key={i} variant="outlined" onClick={() => onAnswer(i + 1 === question.right, answer)}>
            {t('nthExit', { nth: ordinal(i + 1) })}
          </Button>
        ))}
      </>
    );
  }
  const ways = ['left', 'ahead', 'right'] as const;
  return (
    <>
      <p>{t('whichWay')}</p>
      {ways.map((way) => (
        <Button key={way} variant="outlined" onClick={() => onAnswer(way === question.right, t(question.right))}>
          {t(way)}
        </Button>
      ))}
    </>
  );
}
