import { fibreNamesOf } from '@lanakit/core/words';
import { useShelf } from '../api/queries.ts';

/** What a fibre is called, also where it is gone; null: the shelf is not here yet. */
export function useFibreName(): ((id: string) => string) | null {
  const { byId, isReady } = useShelf();
  if (!isReady) return null;
  const named = fibreNamesOf({ fibres: byId });
  return (id) => (byId.has(id) ? named(id) : 'a fibre no longer on the shelf');
}
