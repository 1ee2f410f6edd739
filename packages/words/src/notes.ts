import { wordsOf } from './words';

export const resource = {
  noteTo: 'Note to {{name}}',
  noteToAboutFault: 'Note to {{name}} about {{fault}}, {{time}}',
  addNote: 'Add note',
  addNoteToFault: 'Add note to {{fault}}, {{time}}',
  save: 'Save note',
  keepPhrase: 'Keep this phrase for other notes',
  close: 'Close',
  remove: 'Remove',
  removeNote: 'Remove note: {{note}}',
  phrases: 'Phrases for notes',
  phrasesHelp: 'One on each line. They are offered wherever a note to a learner is written.',
  savePhrases: 'Save phrases',
  phrasesSaved: 'Phrases saved.',
  nextLesson: 'Next lesson: {{when}}',
  planNextLesson: 'Plan next lesson',
} as const;

export const t = wordsOf('notes', resource);
