import { itemsUsed, type Pattern } from '../../pattern/index.ts';
import { type Blend, expandBlend, type Fibre, type Offer, type Supplier } from '../../shelf/index.ts';

/** Who sells something, as a booklet names them: nothing of what the studio pays. */
export interface BookletSupplier {
  readonly name: string;
  readonly offers: readonly Pick<Offer, 'itemId' | 'packAmount' | 'reference'>[];
}

/** A blend down to its fibres: whoever has the pattern alone cards it. */
export interface BookletBlend {
  readonly fibreId: string;
  /** The most first. Fractions by mass; together 1. */
  readonly of: readonly { readonly itemId: string; readonly name: string; readonly fraction: number }[];
}

/** Where what is used comes from. */
export interface BookletSources {
  readonly suppliers: readonly BookletSupplier[];
  readonly blends: readonly BookletBlend[];
}

export const NO_SOURCES: BookletSources = { suppliers: [], blends: [] };

interface ShelfOfSources {
  readonly fibres: readonly Fibre[];
  readonly blends: readonly Blend[];
  readonly suppliers: readonly Supplier[];
}

/** Of everything a build names, and of what its blends are carded from; suppliers that are put away are left out. */
export function bookletSources(build: Pattern, { fibres, blends, suppliers }: ShelfOfSources): BookletSources {
  const used = itemsUsed(build);
  const byId = new Map(blends.map((blend) => [blend.id, blend]));
  const names = new Map(fibres.map(({ id, name }) => [id, name]));
  const blended = used.flatMap((fibreId): BookletBlend[] => {
    const blend = byId.get(fibreId);
    const expanded = blend && expandBlend(blend.parts, (id) => byId.get(id)?.parts, [fibreId]);
    if (!expanded?.ok) return [];
    const of = [...expanded.fractions].map(([itemId, fraction]) => ({ itemId, name: names.get(itemId) ?? 'a fibre', fraction }));
    return [{ fibreId, of: of.toSorted((a, b) => b.fraction - a.fraction) }];
  });
  const wanted = new Set([...used, ...blended.flatMap(({ of }) => of.map(({ itemId }) => itemId))]);
  return { blends: blended, suppliers: suppliers.flatMap((supplier) => sold(supplier, wanted)) };
} // prettier-ignore

function sold({ name, offers, archived }: Supplier, wanted: ReadonlySet<string>): BookletSupplier[] {
  const kept = offers
    .filter(({ itemId }) => wanted.has(itemId))
    .map(({ itemId, packAmount, reference }) => ({ itemId, packAmount, reference }));
  return archived || kept.length === 0 ? [] : [{ name, offers: kept }];
}

/** `blended of Plum 60 %, Rockweed 40 %`. */
export const blendedWords = ({ of }: BookletBlend): string =>
  `blended of ${of.map(({ name, fraction }) => `${name} ${percentOf(fraction)}\u00A0%`).join(', ')}`;

/** To a tenth, and a whole number where it is one. */
const percentOf = (fraction: number): string => String(Number((fraction * 100).toFixed(1)));
