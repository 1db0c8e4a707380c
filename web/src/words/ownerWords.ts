import type { Bag, Pattern, PortionLine } from '@lanakit/core';
import { timesWords } from './show.ts';

type Owner = PortionLine['owner'];

/** The part wool is on, or the two parts that a join holds together. */
export function ownerName(owner: Owner, { parts, joins }: Pattern): string {
  const nameOf = (id: string) => parts.find((part) => part.id === id)?.name ?? '';
  if (owner.kind === 'part') return nameOf(owner.id);
  const join = joins.find(({ id }) => id === owner.id);
  return join ? `${nameOf(join.partId)} to ${nameOf(join.ontoId)}` : '';
}

/** The same with its number in the pattern and how many of it there are. */
export function ownerLine(owner: Owner, pattern: Pattern): string {
  const index = pattern.parts.findIndex(({ id }) => id === owner.id);
  const part = pattern.parts[index];
  return part ? `${index + 1} ${part.name}${timesWords(part.count)}` : ownerName(owner, pattern);
}

/** What is written on a bag; nothing on the figure’s own. */
export const BAG_WORDS: Readonly<Record<Bag, string | null>> = {
  figure: null,
  joins: 'bag of joins',
  'if-needed': 'only if needed',
};
