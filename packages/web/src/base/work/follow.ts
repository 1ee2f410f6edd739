import type { Remote } from 'comlink';
import type { Workers } from './workers';

/** Works on a question step by step, telling each part as it is there. */
export type Steps<Work, Question, Parts> = (
  work: Remote<Work>,
  question: Question,
  tell: (parts: Partial<Parts>) => void,
) => Promise<void>;

interface Listener<Parts> {
  readonly told: (parts: Partial<Parts>) => void;
  readonly failed: (why: string) => void;
}

/**
 * Has a worker take the steps to a question.
 * @returns cancels: the work ends, and nothing is told any more
 */
export function follow<Work, Question, Parts>(
  workers: Workers<Work>,
  question: Question,
  steps: Steps<Work, Question, Parts>,
  { told, failed }: Listener<Parts>,
): () => void {
  const { work, broken, end } = workers.start();
  let wanted = true;
  const tell = (parts: Partial<Parts>) => {
    if (wanted) told(parts);
  };
  Promise.race([steps(work, question, tell), broken])
    .catch((error: unknown) => {
      if (wanted) failed(error instanceof Error ? error.message : String(error));
    })
    .finally(end);
  return () => {
    wanted = false;
    end();
  };
}
