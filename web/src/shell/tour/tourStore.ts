import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { keptAs } from '../../api/studio.ts';
import type { TourThings } from './tourStops.ts';

interface Tour extends TourThings {
  /** The stop it is at; null: nobody is on a tour. */
  readonly stop: number | null;
  readonly begin: () => void;
  readonly leave: () => void;
  /** @param met what was met there, where something was */
  readonly arrive: (stop: number, met: Partial<TourThings>) => void;
}

const NOWHERE: TourThings = { runId: null, patternId: null };

/** Of this tab; a reload does not end it. */
export const useTour = create<Tour>()(
  persist(
    (set) => ({
      stop: null,
      ...NOWHERE,
      begin: () => set({ stop: 0, ...NOWHERE }),
      leave: () => set({ stop: null, ...NOWHERE }),
      arrive: (stop, met) => set({ stop, ...met }),
    }),
    { name: keptAs('tour'), storage: createJSONStorage(() => sessionStorage) },
  ),
);
