/** What is wrong with a file of roads or a request about them, as a code with its values; the words stand elsewhere. */
export type RoadsProblem =
  | { readonly code: 'empty' }
  | { readonly code: 'tooLarge'; readonly megabytes: number }
  | { readonly code: 'notUtf8'; readonly byte: number }
  | { readonly code: 'otherEncoding'; readonly encoding: string }
  | { readonly code: 'badGzip' }
  | { readonly code: 'badXml'; readonly line: number; readonly column: number; readonly detail: string }
  | { readonly code: 'cutShort'; readonly line: number; readonly open: string }
  | { readonly code: 'documentType'; readonly line: number }
  | { readonly code: 'otherRoot'; readonly line: number; readonly root: string; readonly wanted: string }
  | { readonly code: 'noId'; readonly element: string; readonly line: number }
  | { readonly code: 'noPlace'; readonly element: string; readonly id: string; readonly line: number }
  | { readonly code: 'impossiblePlace'; readonly element: string; readonly id: string; readonly line: number }
  | { readonly code: 'idTwice'; readonly element: string; readonly id: string; readonly line: number }
  | { readonly code: 'tooDeep'; readonly line: number }
  | { readonly code: 'badJson'; readonly line: number; readonly column: number }
  | { readonly code: 'notLines'; readonly found: string }
  | { readonly code: 'badFeature'; readonly feature: number }
  | { readonly code: 'noRoads' }
  | { readonly code: 'unknownFormat' }
  | { readonly code: 'notOnRoads'; readonly end: 'from' | 'to' | 'via'; readonly metres: number }
  | { readonly code: 'noWay' }
  | { readonly code: 'noTrack' }
  | { readonly code: 'noTimes' };

/** A file of roads or a request that cannot be used; `problem` says why. */
export class RoadsError extends Error {
  constructor(readonly problem: RoadsProblem) {
    super(`Roads: ${problem.code}`);
  }
}
