import { configureStore } from '@reduxjs/toolkit';
import { useDispatch, useSelector } from 'react-redux';
import { benchSlice } from './bench-slice';
import { siteSlice } from './site-slice';

export function makeStore() {
  return configureStore({
    reducer: { site: siteSlice.reducer, bench: benchSlice.reducer },
    // Documents are plain JSON that nobody changes in place; checking all of them on every key would be felt.
    middleware: (defaults) => defaults({ serializableCheck: false, immutableCheck: false }),
  });
}

export type AppStore = ReturnType<typeof makeStore>;
export type AppState = ReturnType<AppStore['getState']>;

export const useApp = useSelector.withTypes<AppState>();
export const useAppDispatch = useDispatch.withTypes<AppStore['dispatch']>();
