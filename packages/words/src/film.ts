import { wordsOf } from './words';

export const resource = {
  film: 'Film',
  why: 'A film from a camera in the car plays from 8 seconds before each fault. It is opened on this device only and never sent.',
  caution:
    'A film shows people who did not ask for it. The law where you drive may ask for consent, and limit how long you keep it.',
  openFilm: 'Open a film',
  openAgain: 'Open {{name}} again',
  otherFilm: 'Open another film',
  notPlayed: 'This browser cannot play {{name}} ({{kind}}). It plays MP4 (H.264) and WebM: convert the film first.',
  unknownKind: 'unknown format',
  setIt: 'Set a known moment: stop the film where you see it, then choose it here.',
  setMore: 'Set a second moment, well apart, if the film runs ahead or behind.',
  contradict: 'These moments do not fit together. Remove one and set it again.',
  moment: 'Moment',
  momentAt: '{{moment}}, {{time}}',
  movingOff: 'Moving off',
  itIsNow: 'It is now',
  isAt: '{{moment}} is at {{film}} of the film.',
  remove: 'Remove',
  removeMoment: 'Remove {{moment}}',
  playFrom: 'Play from 8 seconds before {{moment}}',
  outside: '{{moment}} is not in this film.',
  speedThen: '{{speed}} at that moment.',
  whereItWas: 'Where it was',
} as const;

export const t = wordsOf('film', resource);
