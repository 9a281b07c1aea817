import { configureStore } from '@reduxjs/toolkit';
import { shallowEqual, useDispatch, useSelector } from 'react-redux';
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

/** Members of what the bench shows: whoever asks for them is drawn again when one of them is another, and for nothing else. */
export function useBench<K extends keyof AppState['bench']>(
  ...members: readonly K[]
): Pick<AppState['bench'], K> {
  return useApp(({ bench }) => picked(bench, members), shallowEqual);
}

/** The same of the site. */
export function useSite<K extends keyof AppState['site']>(
  ...members: readonly K[]
): Pick<AppState['site'], K> {
  return useApp(({ site }) => picked(site, members), shallowEqual);
}

function picked<T, K extends keyof T>(from: T, members: readonly K[]): Pick<T, K> {
  return Object.fromEntries(members.map((member) => [member, from[member]])) as Pick<T, K>;
}
