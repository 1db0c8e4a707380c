import type { BlendInput } from './blend/index.ts';
import type { SupplierInput } from './supplier/index.ts';

/** Ids of the things of the shelf that a thing of the shelf names: what a blend is mixed of, what a supplier offers. */
export function itemsNamed(kind: string, properties: unknown): readonly string[] {
  if (kind === 'blend') return (properties as BlendInput).parts.map(({ itemId }) => itemId);
  if (kind === 'supplier') return itemsOffered(properties as SupplierInput);
  return [];
}

/** Each once, whether it is sold by itself or with others in one pack. */
const itemsOffered = ({ offers, assortments = [] }: SupplierInput): string[] => [
  ...new Set([
    ...offers.map(({ itemId }) => itemId),
    ...assortments.flatMap(({ contents }) => contents.map(({ itemId }) => itemId)),
  ]),
];
