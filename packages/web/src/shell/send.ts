/** Sends what this person has in line for as long as the page is open; the outbox comes after the first page. */
export function startSending(person: string): () => void {
  let stop: (() => void) | undefined;
  let wanted = true;
  void import('./outbox').then(({ outbox }) => {
    if (wanted) stop = outbox.start(person);
  });
  return () => {
    wanted = false;
    stop?.();
  };
}
