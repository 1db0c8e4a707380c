import type { FibreLookup, Wool } from '../engine/index.ts';
import { PREPARATION_WORDS } from './shelfWords.ts';

type FibreName = (fibreId: string | null) => string;

/** A shelf of thousands is gone through once, not for every line that names a fibre of it. */
const known = new WeakMap<FibreLookup, FibreName>();

/** What fibres are called where only their name is said: one that shares it with another says how it is prepared. */
export function fibreNamesOf({ fibres }: Pick<Wool, 'fibres'>): FibreName {
  const names = known.get(fibres) ?? namesIn(fibres);
  known.set(fibres, names);
  return names;
}

function namesIn(fibres: FibreLookup): FibreName {
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
