/** What a command may touch of the world, so that tests can hand it another. */
export interface Io {
  readonly out: (line: string) => void;
  readonly err: (line: string) => void;
}

export const exitCodes = { pass: 0, usage: 1, unusable: 2, fail: 3, incomplete: 4 } as const;
