import { createSlice, type PayloadAction } from '@reduxjs/toolkit';

/** What the middle of the desk shows instead of the matrix. */
export type DeskPanel =
  | { readonly kind: 'mark'; readonly markId: string }
  | { readonly kind: 'drop-pin'; readonly pinId: string }
  | { readonly kind: 'end' }
  | { readonly kind: 'keys' };

interface Desk {
  /** The first beat: a category of the standard. */
  readonly category?: string | undefined;
  /** By keyboard, the item before its grade. */
  readonly item?: string | undefined;
  /** The pin that the next mark settles. */
  readonly settling?: string | undefined;
  readonly panel?: DeskPanel | undefined;
  /** The last thing that happened, for the receipt and for screen readers. */
  readonly receipt: string;
}

const initialState: Desk = { receipt: '' };

const slice = createSlice({
  name: 'desk',
  initialState,
  reducers: {
    deskOpened: () => initialState,
    categoryChosen: (state, { payload }: PayloadAction<string>) => ({
      ...state,
      category: payload,
      item: undefined,
      panel: undefined,
    }),
    itemChosen: (state, { payload }: PayloadAction<string>) => ({ ...state, item: payload }),
    settlingChosen: (state, { payload }: PayloadAction<string | undefined>) => ({
      ...state,
      settling: payload,
      category: undefined,
      item: undefined,
      panel: undefined,
    }),
    panelOpened: (state, { payload }: PayloadAction<DeskPanel>) => ({ ...state, panel: payload, item: undefined }),
    /** Back to what is likely now; with nothing else open, settling stops. */
    stepBack: (state) =>
      state.panel || state.category
        ? { ...state, category: undefined, item: undefined, panel: undefined }
        : { ...state, settling: undefined },
    done: (state, { payload }: PayloadAction<string>) => ({ receipt: payload, settling: undefined }),
    said: (state, { payload }: PayloadAction<string>) => ({ ...state, receipt: payload }),
  },
});

export const { deskOpened, categoryChosen, itemChosen, settlingChosen, panelOpened, stepBack, done, said } =
  slice.actions;
export const deskReducer = slice.reducer;
