import { wordsOf } from './words';

export const resource = {
  copyLink: 'Copy link',
  linkCopied: 'Link copied.',
  notCopied: 'Not copied. Select the link and copy it.',
} as const;

export const t = wordsOf('copy-link', resource);
