import { useSyncExternalStore } from 'react';

const query = window.matchMedia('(prefers-color-scheme: dark)');

/** Whether the machine asks for dark, live. */
export const useIsDark = (): boolean =>
  useSyncExternalStore(
    (notify) => {
      query.addEventListener('change', notify);
      return () => query.removeEventListener('change', notify);
    },
    () => query.matches,
  );
