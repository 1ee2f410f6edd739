/** The most events one request may carry. */
export const mostEventsInABatch = 200;
