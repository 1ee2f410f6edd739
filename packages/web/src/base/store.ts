import { combineSlices, configureStore, type Slice, type ThunkDispatch, type UnknownAction } from '@reduxjs/toolkit';
import { api } from './api';
import { outboxSlice } from './outbox/outbox-slice';
import { keepSettings, settingsSlice } from './settings';

/**
 * What features add to the store, each where it is written (see `addSlice`).
 * @public
 */
// eslint-disable-next-line @typescript-eslint/no-empty-object-type
export interface Slices {}

const reducer = combineSlices(api, settingsSlice, outboxSlice);
export type RootState = ReturnType<typeof reducer> & Slices;

const made = configureStore({
  reducer,
  middleware: (defaults) => defaults({ serializableCheck: false, immutableCheck: false }).concat(api.middleware),
});
export type AppDispatch = ThunkDispatch<RootState, undefined, UnknownAction>;
/** A feature's slice is there from the moment its file is loaded. */
export const store = made as unknown as Omit<typeof made, 'getState' | 'dispatch'> & {
  readonly getState: () => RootState;
  readonly dispatch: AppDispatch;
};

/** Adds a feature's slice to the store, as its file is loaded. */
export function addSlice(slice: Slice): void {
  reducer.inject(slice);
  store.dispatch({ type: `${slice.name}/added` });
}

let kept = store.getState().settings;
store.subscribe(() => {
  const { settings } = store.getState();
  if (settings !== kept) keepSettings((kept = settings));
});
