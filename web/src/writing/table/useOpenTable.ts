import type { StoredPattern } from '@lanakit/core/api';
import type { Wool } from '@lanakit/core/engine';
import { checkPattern, comparePatterns, type Pattern, upgradePattern } from '@lanakit/core/pattern';
import type { Fibre } from '@lanakit/core/shelf';
import { useLayoutEffect, useState } from 'react';
import { type Savable, useSaver } from '../../draft/useSaver.ts';
import { createTableStore, type TableStore } from './tableStore.ts';

const savablePattern = (id: string): Savable<Pattern> => ({
  path: `/patterns/${id}`,
  check: checkPattern,
  isSame: (a, b) => comparePatterns(a, b).length === 0,
  readStored: (stored) => stored as StoredPattern,
  readKept: upgradePattern,
  touches: ['/patterns#', '/bench', '/fibres/'],
});

/** A pattern on the work table, and the saver that keeps it. Mount it anew for another pattern. */
export function useOpenTable(stored: StoredPattern, fibres: readonly Fibre[], wool: Wool): TableStore {
  const { opening, saveState, saver } = useSaver(stored, savablePattern(stored.id));
  const [store] = useState(() =>
    createTableStore(
      { document: opening.document, saveState, fibres, wool, nowMs: () => Date.now() },
      {
        changed: (document) => saver.current?.changed(document),
        version: () => saver.current?.version ?? stored.version,
        settle: async () => (await saver.current?.settle()) ?? false,
        keepMine: async () => saver.current?.keepMine(),
        takeTheirs: () => saver.current?.takeTheirs(),
      },
    ),
  );
  useLayoutEffect(() => store.setState({ saveState }), [store, saveState]);
  useLayoutEffect(() => store.getState().setShelf(fibres, wool), [store, fibres, wool]);
  return store;
}
