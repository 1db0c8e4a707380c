import { useHotkeys } from 'react-hotkeys-hook';
import type { KeptDraft } from './useKeptDraft.ts';

/** Ctrl Z takes back, also from within a field; Ctrl Shift Z and Ctrl Y do it again. */
export function useUndoKeys({ undo, redo }: Pick<KeptDraft<unknown>, 'undo' | 'redo'>): void {
  const keys = { enableOnFormTags: true, preventDefault: true } as const;
  useHotkeys('mod+z', undo, keys);
  useHotkeys(['mod+shift+z', 'mod+y'], redo, keys);
}
