import type { EventType } from '@jasperwren/core/drive/event';
import { wordsOf } from './words';

/** What each event of a log is called where it is undone. */
export const resource = {
  started: 'start',
  'moved-off': 'moving off',
  check: 'briefing step',
  answer: 'answer',
  note: 'note',
  distinct: 'keep both',
  debriefed: 'debriefed',
  short: 'short mock test',
  roads: 'familiarity of the roads',
  mark: 'fault',
  pin: 'pin',
  strike: 'removal',
  regrade: 'change of grade',
  advice: 'suggested grade',
  step: 'count',
  look: 'look',
  'missed-step': 'step that was missed',
  place: 'place of a fault',
  run: 'sensors',
  attempt: 'failed attempt',
  prompt: 'prompt',
  intervention: 'took control',
  'help-for': 'reason for help',
  section: 'change of section',
  pause: 'pause',
  ended: 'end of the test',
} as const;

const t = wordsOf('events', resource);

/** What an event is called: "Undone: fault". */
export const eventName = (type: EventType): string => t(type);
