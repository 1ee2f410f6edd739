import { wordsOf } from './words';

export const resource = {
  howBadWasItFault: 'How bad was it: {{fault}}',
  tapWhatYouKnowOfIt: 'Tap what you know of it; a proposal follows.',
  onAdviceBecause: 'On advice: {{because}}',
  makeItAGrade: 'Make it a {{grade}}',
  aProposalFromWhatYouTapped:
    'A proposal from what you tapped. The grade is yours to give, and your authority’s rules come first.',
} as const;

export const t = wordsOf('adviser', resource);
