import type { StandardProblem } from '@jasperwren/core/marking/lint/problem';
import { mendOf, type Mend } from '@jasperwren/core/marking/edit/mend';
import type { Standard } from '@jasperwren/core/marking/standard';
import { t } from '@jasperwren/words/editor';
import { problemWords } from '@jasperwren/words/marking/problems';
import { createContext, useContext, type ReactNode } from 'react';
import type { EditProps } from './edit-props';
import styles from './editor.module.css';
import { Touch } from './Touch';

interface Found extends EditProps {
  readonly problems: readonly StandardProblem[];
}

const FoundContext = createContext<Found | undefined>(undefined);

/** Lets every sentence below it say what is wrong with it. */
export const ProblemsProvider = ({ children, ...found }: Found & { readonly children: ReactNode }) => (
  <FoundContext value={found}>{children}</FoundContext>
);

const within = (path: string, at: string) => path === at || path.startsWith(`${at}/`);

/** Whether something is wrong at one of these places of the standard that is edited, JSON Pointers (RFC 6901). */
export const useAnyWrong = (places: readonly string[]): boolean =>
  useContext(FoundContext)?.problems.some(({ path }) => places.some((at) => within(path, at))) ?? false;

const mendNames = {
  failing: (grade: string) => t('limitOnGrade', { grade }),
  failedExercises: t('exercisesFailed'),
  failedAttempts: (exercise: string) => t('failedAttemptsAt', { exercise: exercise.toLowerCase() }),
};

function mendWords({ as }: Mend): string {
  switch (as.code) {
    case 'setTo':
      return t('mendSetTo', { value: as.value });
    case 'letter':
      return t('mendLetter', { letter: as.letter });
    case 'unit':
      return t('mendUnit', { unit: as.unit });
    case 'remove':
      return t('mendRemove');
    case 'addLimit':
      return t('mendAddLimit');
    case 'everyGrade':
      return t('mendEveryGrade');
    case 'leaveOpen':
      return t('mendLeaveOpen');
    case 'anyOrder':
      return t('mendAnyOrder');
    case 'noCourse':
      return t('mendNoCourse');
    case 'addGrade':
      return t('mendAddGrade');
  }
}

/** What is wrong with one thing, beside it, with the change that mends it. */
function Note({ problem, standard, change }: EditProps & { readonly problem: StandardProblem }) {
  const mend = mendOf(standard, problem, mendNames);
  return (
    <p className={styles.note} data-problem>
      {problemWords(problem)}{' '}
      {mend && (
        <Touch kind="add" onTouch={() => change(mend.change)}>
          {mendWords(mend)}
        </Touch>
      )}
    </p>
  );
}

interface NotedProps {
  /** JSON Pointer (RFC 6901) to what the sentence is about. */
  readonly at: string;
  /** Only what is said of the thing itself, not of what is in it. */
  readonly itself?: boolean;
  readonly children?: ReactNode;
}

/** A sentence with what is wrong with what it says. */
export function Noted({ at, itself = false, children }: NotedProps) {
  const found = useContext(FoundContext);
  const problems = found?.problems.filter(({ path }) => (itself ? path === at : within(path, at))) ?? [];
  return (
    <div className={styles.noted}>
      {children}
      {found && problems.map((problem) => <Note key={problem.path + problem.is.code} problem={problem} {...found} />)}
    </div>
  );
}

/** What some sentence is about: whatever is wrong there stands beside it. */
const spoken = [
  '/length',
  '/course',
  '/startScore',
  '/exercises',
  '/categories',
  '/grades',
  '/limits',
  '/caps',
  '/requirements',
  '/briefing',
];

/** Everything that is wrong with a standard and stands beside no sentence. */
export const elsewhere = (problems: readonly StandardProblem[], { options, questions }: Standard) => {
  const told = [...spoken, ...options.map((_, i) => `/options/${i}`), ...questions.map((_, i) => `/questions/${i}`)];
  return problems.filter(({ path }) => !told.some((at) => within(path, at)));
};
