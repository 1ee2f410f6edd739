import {
  practiceEvents,
  prepareSeconds,
  type PracticeEvent,
  type PracticeKind,
  type Reaction,
} from '@jasperwren/core/routes/practice';
import type { PlacedCall } from '@jasperwren/core/routes/read-route';
import { deviceStyle } from '@jasperwren/roads/directions/calls';
import { reactionWords, t } from '@jasperwren/words/rehearsal';
import { callSentence, ordinal } from '@jasperwren/words/roads/directions';
import type { Units } from '@jasperwren/words/roads/distances';
import { capital } from '@jasperwren/words/lists';
import { useEffect, useMemo, useState } from 'react';
import { Caption } from './Caption';
import { Choices } from './Choices';
import { limitWords } from './limit-words';
import type { ModeProps } from './mode';
import { useScore } from './use-score';

const kinds: readonly PracticeKind[] = ['wrong-exit', 'late-call', 'wrong-limit', 'closed-road'];
/** What may be done about a call, and about a road that is closed. */
const reactions: Readonly<Record<'late-call' | 'closed-road', readonly Reaction[]>> = {
  'late-call': ['take-it', 'drive-on', 'turn-here'],
  'closed-road': ['drive-on', 'turn-here', 'to-barrier'],
};

interface Props extends ModeProps {
  /** Which of the things that may go wrong do; another number gives others. */
  readonly seed: number;
  /** Drives on by another way, where the roads are at hand. */
  readonly onClosed?: (call: PlacedCall) => void;
}

/** A device that errs and roads that are closed, put on the route to be practised. */
export function EventsMode({ reading, units, metres, playing, setPlaying, seed, onClosed }: Props) {
  const { score, told, settle } = useScore();
  const [done, setDone] = useState<ReadonlySet<PracticeEvent>>(new Set());
  const events = useMemo(() => practiceEvents(reading, kinds, seed), [reading, seed]);
  const event = events.find((one) => !done.has(one) && metres >= one.at && metres < one.at + passed);
  useEffect(() => {
    if (event && playing) setPlaying(false);
  }, [event, playing, setPlaying]);
  const answer = (one: PracticeEvent) => (right: boolean, words: string) => {
    const closed = one.kind === 'closed-road' && onClosed !== undefined;
    setDone(new Set(done).add(one));
    settle(right, [words, whyWords(one), ...(closed ? [t('nowOnNewWay')] : [])].join(' '));
    if (closed) onClosed(one.call);
    setPlaying(true);
  };
  const more = events.some((one) => !done.has(one) && one.at > metres);
  return (
    <Caption score={score}>
      {event ? (
        <Choices key={event.at} {...wordsOf(event, units)} onAnswer={answer(event)} />
      ) : (
        <p>{told || (events.length === 0 ? t('noEvents') : more ? t('followTheRoad') : t('allEvents'))}</p>
      )}
    </Caption>
  );
}

/** An event that lies farther behind, in metres, was leapt over. */
const passed = 60;

const whyWords = ({ kind }: PracticeEvent): string =>
  kind === 'late-call' ? t('why-late-call', { seconds: prepareSeconds }) : t(`why-${kind}`);

function wordsOf(event: PracticeEvent, units: Units) {
  switch (event.kind) {
    case 'wrong-exit':
      return {
        question: t('event-wrong-exit', { said: ordinal(event.said), right: ordinal(event.right) }),
        choices: Array.from({ length: event.exits }, (_, i) => ({
          key: i,
          words: t('nthExit', { nth: capital(ordinal(i + 1)) }),
          right: i + 1 === event.right,
        })),
      };
    case 'wrong-limit': {
      const [right, said] = [limitWords(event.right, units), limitWords(event.said, units)];
      return {
        question: t('event-wrong-limit', { right, said }),
        choices: event.choices.map((kmh) => ({ key: kmh, words: limitWords(kmh, units), right: kmh === event.right })),
      };
    }
    case 'late-call':
    case 'closed-road': {
      const call = callSentence({ ...event.call, distance: 0 }, deviceStyle, units);
      return {
        question:
          event.kind === 'late-call'
            ? t('event-late-call', { call, seconds: event.seconds })
            : t('event-closed-road', { call }),
        choices: reactions[event.kind].map((key) => ({
          key,
          words: reactionWords(key),
          right: key === event.right,
        })),
      };
    }
  }
}
