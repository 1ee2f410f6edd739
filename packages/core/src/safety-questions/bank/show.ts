import { keyPoint, type KeyPoint, type SafetyQuestion } from '../question';
import type { ControlCode } from '../vehicle';

/** What every control worked on the move asks for (common practice): far ahead, mirrors, a short glance, and back. */
const around = (code: ControlCode, backWords: string) => [
  keyPoint(
    'ahead',
    'Look far ahead: limit, bend, large vehicle.',
    'ahead|front|forward|road look|check|clear|far|safe|up',
  ),
  keyPoint('mirrors', 'Check the mirrors: nobody overtaking, no cyclist.', 'mirror|mirrors|behind'),
  keyPoint('!work', `Work it: {control:${code}}.`, '@work|@control'),
  keyPoint('back', backWords, '@off'),
];

/** A control to work on the move, and what is to be done with it: "sound the horn". */
interface Shown {
  readonly task: string;
  readonly question: SafetyQuestion;
}

const show = (
  id: string,
  topic: string,
  task: string,
  code: ControlCode,
  backWords = 'Switch it off again.',
): Shown => ({
  task,
  question: {
    id,
    version: 1,
    kind: 'show',
    topic,
    ask: `When it is safe, ${task}.`,
    points: around(code, backWords),
    controls: [code],
    steps: ['ahead', 'mirrors', 'work', 'back'],
  },
});

const withPoint = ({ task, question }: Shown, point: KeyPoint): Shown => ({
  task,
  question: { ...question, points: [...question.points, point] },
});

const shown: readonly Shown[] = [
  show('show.rear-wash', 'Rear screen', 'wash and wipe the rear screen', 'rear-wash'),
  show('show.front-wash', 'Front screen', 'wash and wipe the front screen', 'front-wash'),
  show('show.headlights', 'Dipped headlights', 'switch the dipped headlights on', 'headlights'),
  show('show.rear-demist', 'Rear demister', 'switch the rear demister on', 'rear-demist'),
  withPoint(
    show(
      'show.front-demist',
      'Front demister',
      'clear a misted front screen',
      'front-demist',
      'Turn it back once the screen is clear.',
    ),
    keyPoint(
      'air',
      'Fan up, aimed at the screen, warm; air conditioning dries the air.',
      'fan|blower|heat|warm|air|conditioning|con',
    ),
  ),
  show('show.horn', 'Horn', 'sound the horn', 'horn', 'Let go at once.'),
  show('show.window', 'Side window', 'open and close a side window', 'window', 'Close it again.'),
];

/** Controls worked on the move (common practice). */
export const showQuestions: readonly SafetyQuestion[] = shown.map(({ question }) => question);

/** What the same questions ask for: "sound the horn". */
export const showTasks: readonly string[] = shown.map(({ task }) => task);
