import type { Db } from './database';
import type { Write } from './writer';

/** How one of several changes ended that were made together. */
export type Ended<T> = { readonly value: T } | { readonly error: unknown };

/** More than this wait for the next. */
const mostTogether = 200;

/**
 * Makes changes of one kind that arrive at one time by one and the same statements: what many send at once costs little more
 * than what one does.
 * @param work makes them all, and says of each in their order how it ended; one that it refuses must have changed nothing.
 *   What it throws is the end of all of them
 */
export function together<I, T>(
  write: Write,
  work: (db: Db, inputs: readonly I[]) => Promise<readonly Ended<T>[]>,
): (input: I) => Promise<T> {
  interface Waiting {
    readonly input: I;
    readonly resolve: (value: T) => void;
    readonly reject: (reason: unknown) => void;
  }
  let waiting: Waiting[] = [];
  let asked = false;

  function ask(): void {
    if (asked || waiting.length === 0) return;
    asked = true;
    let taken: readonly Waiting[] = [];
    write(async (db) => {
      // Whatever has come by the time it is their turn goes along.
      taken = waiting.splice(0, mostTogether);
      asked = false;
      ask();
      return work(
        db,
        taken.map(({ input }) => input),
      );
    }).then(
      (ends) => ends.forEach((end, i) => ('error' in end ? taken[i]!.reject(end.error) : taken[i]!.resolve(end.value))),
      (error: unknown) => {
        // Where it did not come to their turn, such as with a database that is gone, it is the end of all that wait.
        if (taken.length === 0) {
          taken = waiting;
          waiting = [];
          asked = false;
        }
        for (const { reject } of taken) reject(error);
      },
    );
  }

  return (input) =>
    new Promise<T>((resolve, reject) => {
      waiting.push({ input, resolve, reject });
      ask();
    });
}
