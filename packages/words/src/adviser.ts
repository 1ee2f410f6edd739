import { wordsOf } from './words';

export const resource = {
  suggestGradeFault: 'Suggest grade: {{fault}}',
  answerWhatYouCanToGet: 'Answer what you can to get a suggested grade.',
  changeToGrade: 'Change to {{grade}}',
  aSuggestionFromYourAnswersYou:
    'A suggestion from your answers. You set the grade, and your test authority’s rules come first.',
} as const;

export const t = wordsOf('adviser', resource);
