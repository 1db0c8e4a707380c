import type { Offer, Supplier } from '../../shelf/index.ts';

/** Who sells something, as a booklet names them: nothing of what the studio pays. */
export interface BookletSupplier {
  readonly name: string;
  readonly offers: readonly Pick<Offer, 'itemId' | 'packAmount' | 'reference'>[];
}

/** Those who sell what is used, with just that; those put away are left out. */
export const suppliersFor = (
  suppliers: readonly Supplier[],
  itemIds: ReadonlySet<string>,
): BookletSupplier[] =>
  suppliers
    .filter(({ archived }) => !archived)
    .map(({ name, offers }) => ({
      name,
      offers: offers
        .filter(({ itemId }) => itemIds.has(itemId))
        .map(({ itemId, packAmount, reference }) => ({ itemId, packAmount, reference })),
    }))
    .filter(({ offers }) => offers.length > 0);
