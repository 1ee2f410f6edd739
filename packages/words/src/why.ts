import type { BriefingResult, Struck } from '@jasperwren/core/drive/drive';
import type { Why } from '@jasperwren/core/drive/why';
import { wordsOf } from './words';

export const resource = {
  undone: 'Undone',
  removed: 'Removed',
  restored: 'Restored',
  'wrong-box': 'Tapped the wrong box',
  misread: 'I misread it',
  'not-the-learner': 'Not the learner’s fault',
  'too-harsh': 'Graded too harshly',
  'no-fault': 'No fault after all',
  'already-recorded': 'Already recorded',
  'same-twice': 'Same fault twice',
  measured: 'From the measurement',
  adviser: 'Suggested grade accepted',
  repeated: 'The same fault several times',
  'earlier-lesson': 'Done in an earlier lesson',
  'not-today': 'Not needed today',
  'no-time': 'No time',
  glasses: 'With glasses or lenses',
  toilet: 'Toilet stop',
  breakdown: 'Breakdown',
  weather: 'Unsafe weather',
  talking: 'Talking it over',
  'road-closed': 'Road closed',
  'too-much-help': 'Too much help needed',
  danger: 'Danger to others',
  'not-fit': 'Not fit to drive today',
  nerves: 'Nerves',
  'not-well': 'Not well',
  puncture: 'Puncture',
  'warning-light': 'Warning light',
  'accident-ahead': 'Accident ahead',
  'short-lesson': 'Short lesson',
  'one-part': 'One part of the test practised',
  eyesight: 'Eyesight not passed',
  removedFor: 'Removed: {{why}}',
  noneGiven: 'no reason given',
  missed: 'Missed: {{parts}}',
} as const;

const t = wordsOf('why', resource);

/** The reason for something done on a drive: "Tapped the wrong box", or what somebody wrote. */
export const whyWords = (why: Why): string => ('because' in why ? t(why.because) : why.reason);

/** The same where a reason may be missing: "no reason given". */
export const givenWhy = (why: Why | undefined): string => (why ? whyWords(why) : t('noneGiven'));

/** That a fault was removed, and why: "Removed: Tapped the wrong box". */
export const removedWords = ({ why }: Struck): string => (why ? t('removedFor', { why: whyWords(why) }) : t('removed'));

/** What else there is to say of a step that was done: "With glasses or lenses", "Missed: Head restraint; Mirrors". */
export function stepDetail({ why, detail, missed = [] }: BriefingResult): string | undefined {
  if (missed.length > 0) return t('missed', { parts: missed.join('; ') });
  return why ? whyWords(why) : detail;
}
