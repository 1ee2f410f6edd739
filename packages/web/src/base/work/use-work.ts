import { useCallback, useEffect, useState } from 'react';
import { follow, type Steps } from './follow';
import type { Workers } from './workers';

export interface Worked<Parts> {
  /** What is there: of the question, or of the one before it until the first part of the new one is told. */
  readonly parts: Partial<Parts>;
  readonly working: boolean;
  readonly failed: string | undefined;
  readonly again: () => void;
}

/**
 * Works on a question beside the page; a new question ends the work on the one before.
 * @param question is another object where something else is asked
 * @param steps stay the same
 */
export function useWork<Work, Question, Parts extends object>(
  workers: Workers<Work>,
  question: Question,
  steps: Steps<Work, Question, Parts>,
): Worked<Parts> {
  const [parts, setParts] = useState<Partial<Parts>>({});
  const [answered, setAnswered] = useState<Question>();
  const [failed, setFailed] = useState<string>();
  const [attempt, setAttempt] = useState(0);
  useEffect(
    () =>
      follow(workers, question, steps, {
        told(more) {
          setParts((before) => ({ ...before, ...more }));
          setAnswered(question);
          setFailed(undefined);
        },
        failed: setFailed,
      }),
    [workers, question, steps, attempt],
  );
  const again = useCallback(() => {
    setFailed(undefined);
    setAttempt((n) => n + 1);
  }, []);
  return { parts, working: answered !== question && failed === undefined, failed, again };
}
