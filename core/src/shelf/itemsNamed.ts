import type { BlendInput } from './blend/index.ts';
import type { SupplierInput } from './supplier/index.ts';

/** Ids of the things of the shelf that a thing of the shelf names: what a blend is mixed of, what a supplier offers. */
export function itemsNamed(kind: string, properties: unknown): readonly string[] {
  if (kind === 'blend') return (properties as BlendInput).parts.map(({ itemId }) => itemId);
  if (kind === 'supplier') return (properties as SupplierInput).offers.map(({ itemId }) => itemId);
  return [];
}
