import { wrap, type Remote } from 'comlink';

/** A worker that is at work on one question. */
interface Running<Work> {
  readonly work: Remote<Work>;
  /** Is never fulfilled; rejects where the worker itself breaks, which no call on it would tell. */
  readonly broken: Promise<never>;
  /** Ends the work, wherever it is. */
  readonly end: () => void;
}

export interface Workers<Work> {
  /** A worker of its own for one question. */
  readonly start: () => Running<Work>;
}

/**
 * Workers of one kind. One is ready before it is asked for: it starts while the page still fetches what it needs.
 * @param make starts a worker that exposes the functions of `Work`
 */
export function workersOf<Work>(make: () => Worker): Workers<Work> {
  let spare: Ready | undefined = ready(make());
  return {
    start() {
      const { worker, broken } = spare ?? ready(make());
      spare = undefined;
      let ended = false;
      return {
        work: wrap<Work>(worker),
        broken,
        end() {
          if (ended) return;
          ended = true;
          worker.terminate();
          spare ??= ready(make());
        },
      };
    },
  };
}

interface Ready {
  readonly worker: Worker;
  readonly broken: Promise<never>;
}

/** Listens from the beginning: a worker that waits may have broken before it is asked. */
function ready(worker: Worker): Ready {
  const broken = new Promise<never>((_, reject) => {
    const fail = (event: Event) =>
      reject(new Error((event as ErrorEvent).message || 'The calculation could not be started.'));
    worker.addEventListener('error', fail);
    worker.addEventListener('messageerror', fail);
  });
  // Whoever listens is told; nobody has to listen.
  broken.catch(() => undefined);
  return { worker, broken };
}
