import { useCallback, useState } from 'react';
import { keepShown, keptShown, type Shown } from './keptShown.ts';
import { useTable } from './tableContext.ts';

/**
 * What was last looked at, on this device. Before that the figure together, where anything is joined: who opens a pattern
 * wants to see what it makes.
 */
export function useFigureShown(): readonly [Shown, (shown: Shown) => void] {
  const isJoined = useTable((table) => table.document.joins.length > 0);
  const [shown, setShown] = useState<Shown>(() => keptShown() ?? (isJoined ? 'together' : 'pieces'));
  const show = useCallback((next: Shown) => {
    setShown(next);
    keepShown(next);
  }, []);
  return [shown, show];
}
