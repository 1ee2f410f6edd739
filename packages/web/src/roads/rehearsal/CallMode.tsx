import { nextCall, timingOf } from '@jasperwren/core/routes/rehearsal';
import type { PlacedCall } from '@jasperwren/core/routes/read-route';
import { instructorStyle } from '@jasperwren/roads/directions/calls';
import { t } from '@jasperwren/words/rehearsal';
import { callSentence } from '@jasperwren/words/roads/directions';
import { aheadWords } from '@jasperwren/words/roads/distances';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Caption } from './Caption';
import type { ModeProps } from './mode';
import { useScore } from './use-score';

const verdicts = { early: 'tooEarly', good: 'wellTimed', late: 'tooLate' } as const;

/** An instructor practises calling: each call is judged by when it is spoken. */
export function CallMode({ reading: { calls }, units, metres, playing, setPlaying }: ModeProps) {
  const { score, told, settle } = useScore();
  const [done, setDone] = useState<ReadonlySet<PlacedCall>>(new Set());
  const next = nextCall(calls, metres);
  const callNow = () => {
    if (!next || done.has(next)) return;
    const before = next.decision.metres - metres;
    const timing = timingOf(next, before);
    const words = t(verdicts[timing], { distance: aheadWords(Math.max(before, 0), units) });
    setDone(new Set(done).add(next));
    settle(timing === 'good', `${callSentence(next, instructorStyle, units)} ${words}`);
    setPlaying(true);
  };
  return (
    <Caption score={score}>
      <Button variant="outlined" onClick={callNow} disabled={!playing}>
        {t('callNow')}
      </Button>
      <p>{told || t('followTheRoad')}</p>
    </Caption>
  );
}
