import type { Pack } from '../run/index.ts';
import { packWords } from '../words/index.ts';
import { ranges } from './shown.ts';

/** Packs by name; boxes and packs without names by their numbers. */
export function packNames(packs: readonly Pack[]): string {
  const numbered = packs.filter(({ kind, name }) => kind === 'box' || (kind === 'seat' && name === ''));
  const kinds = new Set(numbered.map(({ kind }) => kind));
  const numbers = [...kinds].map((kind) => {
    const ofKind = numbered.filter((pack) => pack.kind === kind).map(({ number }) => number);
    const word =
      kind === 'box' ? (ofKind.length === 1 ? 'box' : 'boxes') : ofKind.length === 1 ? 'seat' : 'seats';
    return `${word} ${ranges(ofKind)}`;
  });
  const named = packs.filter((pack) => !numbered.includes(pack)).map(packWords);
  return [...numbers, ...named].join(', ');
}
