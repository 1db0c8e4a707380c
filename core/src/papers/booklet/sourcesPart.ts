import { unitOfFinding } from '../../shelf/index.ts';
import { PREPARATION_WORDS, UNIT_WORDS } from '../../words/index.ts';
import type { BookletSupplier } from './bookletSources.ts';
import type { BookletPart } from './model.ts';
import { cell, part } from './part.ts';
import type { BookletSource } from './source.ts';

/** Where what is needed can be had, thing by thing; null: nobody of the studio sells any of it, or it comes with the kit. */
export function sourcesPart({ estimate, wool, terms, sources }: BookletSource): BookletPart | null {
  if (terms.reader === 'kit') return null;
  const { suppliers, blends } = sources;
  const carded = new Map(blends.map(({ fibreId, of }) => [fibreId, of]));
  const fibreIds = estimate.fibres.flatMap(({ fibreId }) => [fibreId, ...(carded.get(fibreId) ?? []).map(({ itemId }) => itemId)]);
  const ids = [...new Set([...fibreIds, ...estimate.findings.map(({ findingId }) => findingId)])];
  const rows = ids.flatMap((itemId) => {
    const thing = thingOf(itemId, wool);
    const sellers = thing ? suppliers.flatMap((supplier) => sellerWords(supplier, itemId, thing.unit)) : [];
    return thing && sellers.length > 0 ? [{ hasBox: false, cells: [cell(thing.name), cell(sellers.join('; '))] }] : [];
  });
  if (rows.length === 0) return null;
  return part('sources', 'Where it can be had', [
    {
      is: 'table',
      about: 'Who sells what is needed, in which packs, and what they call it',
      columns: ['What', 'From'].map((title) => ({ title, isNumber: false })),
      rows,
    },
  ]);
} // prettier-ignore

/** `Hill Farm: 100 g, 500 g (S-1, S-5)`; none: not sold there. */
function sellerWords({ name, offers }: BookletSupplier, itemId: string, unit: keyof typeof UNIT_WORDS): string[] {
  const packs = offers.filter((offer) => offer.itemId === itemId).toSorted((a, b) => a.packAmount - b.packAmount);
  if (packs.length === 0) return [];
  const references = [...new Set(packs.map(({ reference }) => reference.trim()).filter((each) => each !== ''))];
  const sizes = packs.map(({ packAmount }) => `${packAmount} ${UNIT_WORDS[unit]}`);
  return [`${name}: ${sizes.join(', ')}${references.length === 0 ? '' : ` (${references.join(', ')})`}`];
} // prettier-ignore

function thingOf(itemId: string, { fibres, findings }: BookletSource['wool']) {
  const fibre = fibres.get(itemId);
  if (fibre) return { name: `${fibre.name}, ${PREPARATION_WORDS[fibre.preparation]}`, unit: 'g' } as const;
  const finding = findings.get(itemId);
  return finding ? { name: finding.name, unit: unitOfFinding(finding.measure) } : null;
}
