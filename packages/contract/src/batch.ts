/** The most events one request may carry. */
export const mostEventsInABatch = 200;

/** The most fixes of a trace in one piece, and the most pieces in one request. */
export const mostFixesInAPiece = 120;
export const mostPiecesInABatch = 40;
