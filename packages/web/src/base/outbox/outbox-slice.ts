import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** How the outbox stands. */
export interface Outbox {
  /** Entries of the person signed in that the server does not have, those set aside included. */
  readonly waiting: number;
  readonly refused: number;
  /** What the server said of the last one it refused. */
  readonly reason?: string | undefined;
  /** The server was not reached at the last try. */
  readonly unreachable: boolean;
}

const initialState: Outbox = { waiting: 0, refused: 0, unreachable: false };

export const outboxSlice = createSlice({
  name: 'outbox',
  initialState,
  reducers: {
    outboxCounted: (state, { payload }: PayloadAction<Pick<Outbox, 'waiting' | 'refused' | 'reason'>>) => ({
      ...state,
      ...payload,
    }),
    reached: (state, { payload }: PayloadAction<boolean>) => ({ ...state, unreachable: !payload }),
  },
});

export const { outboxCounted, reached } = outboxSlice.actions;
