import { configureStore } from '@reduxjs/toolkit';
import { deskReducer } from '../drives/desk/desk-slice';
import { driveLogsReducer } from '../drives/log/drive-logs';
import { outboxReducer } from '../outbox/outbox-slice';
import { api } from './api';
import { keepSettings, settingsReducer } from './settings';

export const store = configureStore({
  reducer: {
    [api.reducerPath]: api.reducer,
    settings: settingsReducer,
    driveLogs: driveLogsReducer,
    desk: deskReducer,
    outbox: outboxReducer,
  },
  middleware: (defaults) => defaults({ serializableCheck: false, immutableCheck: false }).concat(api.middleware),
});

export type RootState = ReturnType<typeof store.getState>;
export type AppDispatch = typeof store.dispatch;

let kept = store.getState().settings;
store.subscribe(() => {
  const { settings } = store.getState();
  if (settings !== kept) keepSettings((kept = settings));
});
