/** How samples of a car travel: used by whoever sends them, by the server and by whoever watches. */

/** The code by which a socket is closed for good: trying again would change nothing (RFC 6455, 7.4.1). */
export const closedForGood = 1008;

export const feedPath = '/api/yard/feed';
export const watchPath = '/api/yard/watch';

/** The most rows in one message, and the most letters in a row. */
export const mostRowsInAMessage = 400;
export const mostRowLetters = 400;

/** What a sender says first: the run, and what its rows hold. A car of the school says it with its token. */
export interface FeedHello {
  readonly run: string;
  /** The head of a CSV file with these rows. */
  readonly columns: string;
  /** What the run is called where it is new. */
  readonly name?: string;
}

/** Rows of CSV, from the place of the first on; what is known already is passed over. */
export interface FeedRows {
  readonly from: number;
  readonly rows: readonly string[];
}

/** How many rows are kept: the sender goes on from there. */
export interface FeedHave {
  readonly have: number;
}

/** Why nothing more is taken. */
export interface FeedRefusal {
  readonly error: string;
}

/** What a watcher is told: rows in their order, each once; none where nothing more is kept as it begins to watch. */
export interface WatchRows extends FeedRows {
  readonly columns: string;
}
