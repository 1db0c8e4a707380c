import { keptAs } from '../../api/studio.ts';

/** How the figure lies on the table: its pieces side by side, or together. */
export type Shown = 'pieces' | 'together';

const KEY = keptAs('table.drawn');

/** What was chosen last on this device; null: nothing yet, or the browser keeps nothing. */
export function keptShown(): Shown | null {
  try {
    const kept = localStorage.getItem(KEY);
    return kept === 'pieces' || kept === 'together' ? kept : null;
  } catch {
    return null;
  }
}

export function keepShown(shown: Shown): void {
  try {
    localStorage.setItem(KEY, shown);
  } catch {
    // A browser that keeps nothing shows what it always did.
  }
}
