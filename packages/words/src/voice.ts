import { wordsOf } from './words';

export const resource = {
  spokenPins: 'Spoken pins',
  why: 'Hold the pin and say a few words, ten seconds at most. They stay with the pin until you name it, for instructors of your school only.',
  ask: 'A microphone in a car records everyone in it, and the law where you drive may ask for consent. Ask {{name}} and all passengers first. Your local rules apply.',
  agreed: '{{name}} and all passengers agree',
  turnOff: 'Turn off',
  holdToTalk: 'hold to talk',
  talkNow: 'Talk now',
  noMicrophone: 'Pin saved without words: no microphone, or not allowed.',
  hear: 'Hear it',
  hearPinAtTime: 'Hear pin at {{time}}',
  keep: 'Keep it',
  kept: 'Kept',
  delete: 'Delete words',
  deletePinAtTime: 'Delete words of pin at {{time}}',
  keepPinAtTime: 'Keep words of pin at {{time}}',
} as const;

export const t = wordsOf('voice', resource);
