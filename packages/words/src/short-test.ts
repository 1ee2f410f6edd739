import { wordsOf } from './words';

export const resource = {
  meantShort: 'Count as a short mock test',
  whyShort: 'Why a short mock test? 5 minutes are then enough. The reason stays with the result.',
  isShort: 'Short mock test: {{why}}.',
  wasMeantWhole: 'Count as a whole one',
} as const;

export const t = wordsOf('short-test', resource);
