import type { Wool } from '../wool/index.ts';
import { PREPARATION_WORDS } from './shelfWords.ts';

/** What fibres are called where only their name is said: one that shares it with another says how it is prepared. */
export function fibreNamesOf({ fibres }: Pick<Wool, 'fibres'>): (fibreId: string | null) => string {
  const count = new Map<string, number>();
  for (const { name } of fibres.values()) count.set(keyOf(name), (count.get(keyOf(name)) ?? 0) + 1);
  return (fibreId) => {
    const fibre = fibres.get(fibreId ?? '');
    if (!fibre) return 'not chosen yet';
    const isShared = (count.get(keyOf(fibre.name)) ?? 0) > 1;
    return isShared ? `${fibre.name} ${PREPARATION_WORDS[fibre.preparation]}` : fibre.name;
  };
}

const keyOf = (name: string): string => name.trim().toLowerCase();
