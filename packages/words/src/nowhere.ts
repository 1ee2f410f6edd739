import { wordsOf } from './words';

export const resource = {
  pageNotFound: 'Page not found',
  nothingIsAtThisAddress: 'Nothing is at this address.',
  goToToday: 'Go to Today',
} as const;

export const t = wordsOf('nowhere', resource);
