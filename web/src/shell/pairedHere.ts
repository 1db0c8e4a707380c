import { keptAs } from '../api/studio.ts';

const KEY = keptAs('device');

/** What this device was paired as; the browser remembers it where its owner shut it out. */
export function pairedHere(): string | null {
  try {
    return localStorage.getItem(KEY);
  } catch {
    return null;
  }
}

export function rememberPaired(name: string | null): void {
  try {
    if (name === null) localStorage.removeItem(KEY);
    else localStorage.setItem(KEY, name);
  } catch {
    // A browser that keeps nothing only tells less where it is shut out.
  }
}
