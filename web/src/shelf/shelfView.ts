import { type Section } from './useEntries.ts';

/** How a section is seen. */
export type View = 'drawers' | 'table' | 'stocktake';

const VIEW_KEY = 'lanakit.shelf.view';

export function keptView(section: Section): View {
  if (section === 'suppliers') return 'table';
  return localStorage.getItem(VIEW_KEY) === 'table' ? 'table' : 'drawers';
}

export function keepView(section: Section, view: View): void {
  if (section !== 'suppliers' && view !== 'stocktake') localStorage.setItem(VIEW_KEY, view);
}
