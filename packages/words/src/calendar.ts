import { wordsOf } from './words';

export const resource = {
  lesson: 'Lesson: {{learner}}',
  lessons: 'Lessons with {{learner}}',
  goal: '{{aim}}: {{where}}',
  test: 'Driving test: {{learner}}',
  early: 'Arrive {{minutes}} minutes early.',
} as const;

export const t = wordsOf('calendar', resource);
