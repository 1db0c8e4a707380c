import { useSyncExternalStore } from 'react';

/** What a browser takes a millimetre for, where nobody has measured: 96 pixels an inch. */
export const USUAL_PX_PER_MM = 96 / 25.4;
/** Screens are finer than this and coarser than that. */
export const PX_PER_MM_BOUNDS = { min: 2, max: 14 } as const;

const KEY = 'lanakit.screen-px-per-mm';
const listeners = new Set<() => void>();

function read(): number | null {
  const kept = Number(localStorage.getItem(KEY));
  return kept >= PX_PER_MM_BOUNDS.min && kept <= PX_PER_MM_BOUNDS.max ? kept : null;
}

/** Keeps how fine this screen is, as it was measured with a card or a ruler. */
export function keepTrueSize(pxPerMm: number): void {
  localStorage.setItem(KEY, String(pxPerMm));
  for (const tell of listeners) tell();
}

function subscribe(tell: () => void): () => void {
  listeners.add(tell);
  return () => listeners.delete(tell);
}

/** Pixels of this screen in a millimetre; null: nobody has measured it. */
export const useTrueSize = (): number | null => useSyncExternalStore(subscribe, read);
