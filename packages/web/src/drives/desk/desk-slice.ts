import type { Counter } from '@jasperwren/core/drive/counter';
import type { Finding } from '@jasperwren/core/yard/findings';
import type { SentSample } from '@jasperwren/core/yard/sample';
import { createSlice, type PayloadAction } from '@reduxjs/toolkit';
import type { Hearing } from '../../yard/public';
import { addSlice, type AppDispatch, type RootState } from '../../base/store';

/** What the middle of the desk shows instead of the matrix. */
export type DeskPanel =
  | { readonly kind: 'mark'; readonly markId: string }
  | { readonly kind: 'advise'; readonly markId: string }
  | { readonly kind: 'drop-pin'; readonly pinId: string }
  | { readonly kind: 'more' }
  | { readonly kind: 'questions' }
  | { readonly kind: 'note'; readonly target?: string | undefined }
  | { readonly kind: 'pause'; readonly pauseId: string }
  | { readonly kind: 'trace' }
  | { readonly kind: 'voice' }
  | { readonly kind: 'sensors' }
  | { readonly kind: 'measure'; readonly item: string }
  | { readonly kind: 'tray' }
  | { readonly kind: 'help'; readonly helpId: string }
  | { readonly kind: 'end' }
  | { readonly kind: 'keys' };

/** What is known of the sensors of a car. */
interface Heard {
  readonly hearing: Hearing;
  readonly last?: SentSample;
  /** Wall clock of this device when the last sample came, in milliseconds. */
  readonly at?: number;
  /** The last gap, reaction or stopping distance. */
  readonly told?: Finding;
}

interface Desk {
  /** The first beat: a category of the standard. */
  readonly category?: string | undefined;
  /** The category a mark was just made in: still in sight for a moment, so that the mark is seen to land. */
  readonly lingering?: string | undefined;
  /** By keyboard, the item before its grade. */
  readonly item?: string | undefined;
  /** The pin that the next mark settles. */
  readonly settling?: string | undefined;
  readonly panel?: DeskPanel | undefined;
  /** On a course, the exercise that comes next where another was chosen than the one in turn. */
  readonly exercise?: string | undefined;
  /** What is known of the sensors that are read. */
  readonly heard?: Heard | undefined;
  /** On a course, all faults instead of the exercise. */
  readonly allFaults?: boolean | undefined;
  /** What is being counted for the instructor, on the drive's clock. */
  readonly counter?: Counter | undefined;
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
      lingering: undefined,
      item: undefined,
      panel: undefined,
    }),
    itemChosen: (state, { payload }: PayloadAction<string>) => ({ ...state, item: payload }),
    settlingChosen: (state, { payload }: PayloadAction<string | undefined>) => ({
      ...state,
      settling: payload,
      category: undefined,
      lingering: undefined,
      item: undefined,
      panel: undefined,
    }),
    panelOpened: (state, { payload }: PayloadAction<DeskPanel>) => ({ ...state, panel: payload, item: undefined }),
    /** Back to what is likely now; with nothing else open, settling stops. */
    stepBack: (state) =>
      state.panel || state.category || state.lingering
        ? { ...state, category: undefined, lingering: undefined, item: undefined, panel: undefined }
        : { ...state, settling: undefined },
    exerciseChosen: (state, { payload }: PayloadAction<string | undefined>) => ({
      ...state,
      exercise: payload,
      panel: undefined,
    }),
    boardSwitched: (state) => ({
      ...state,
      allFaults: !state.allFaults,
      panel: undefined,
      category: undefined,
      item: undefined,
    }),
    heardMore: (state, { payload }: PayloadAction<Partial<Heard>>) => ({
      ...state,
      heard: { hearing: 'connecting' as const, ...state.heard, ...payload },
    }),
    done: (state, { payload }: PayloadAction<string>): Desk => ({
      receipt: payload,
      counter: state.counter,
      exercise: state.exercise,
      heard: state.heard,
      allFaults: state.allFaults,
      lingering: state.panel ? undefined : (state.category ?? state.lingering),
    }),
    counterChanged: (state, { payload }: PayloadAction<Counter | undefined>) => ({ ...state, counter: payload }),
    lingeredEnough: (state) => ({ ...state, lingering: undefined }),
    said: (state, { payload }: PayloadAction<string>) => ({ ...state, receipt: payload }),
  },
});

export const {
  deskOpened,
  categoryChosen,
  itemChosen,
  settlingChosen,
  panelOpened,
  stepBack,
  done,
  exerciseChosen,
  boardSwitched,
  heardMore,
  counterChanged,
  lingeredEnough,
  said,
} = slice.actions;

/** A touch on a category: the second one goes back; one that only lingers is chosen anew. */
export const categoryTouched = (code: string) => (dispatch: AppDispatch, getState: () => RootState) =>
  dispatch(getState().desk.category === code ? stepBack() : categoryChosen(code));

/** The category in sight: the one chosen, or the one a mark has just landed in. */
export const shownCategory = (desk: Desk): string | undefined => desk.category ?? desk.lingering;

export const deskReducer = slice.reducer;
addSlice(slice);
declare module '../../base/store' {
  interface Slices {
    readonly desk: Desk;
  }
}

/** What is chosen among the signs on the ribbon. */
export function chosenOnRibbon({ panel, settling }: RootState['desk']): string | undefined {
  if (panel?.kind === 'mark') return panel.markId;
  return panel?.kind === 'help' ? panel.helpId : settling;
}
