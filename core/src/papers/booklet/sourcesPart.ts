import { itemsUsed } from '../../pattern/index.ts';
import { unitOfFinding } from '../../shelf/index.ts';
import { PREPARATION_WORDS, UNIT_WORDS } from '../../words/index.ts';
import type { BookletPart } from './model.ts';
import { cell, part } from './part.ts';
import type { BookletSource } from './source.ts';

/** Where what is used can be had, thing by thing; null: nobody of the studio sells any of it, or it comes with the kit. */
export function sourcesPart({ build, wool, terms, suppliers }: BookletSource): BookletPart | null {
  if (terms.reader === 'kit') return null;
  const rows = itemsUsed(build).flatMap((itemId) => {
    const thing = thingOf(itemId, wool);
    return suppliers.flatMap(({ name, offers }) => {
      const packs = offers
        .filter((offer) => offer.itemId === itemId)
        .toSorted((a, b) => a.packAmount - b.packAmount);
      if (!thing || packs.length === 0) return [];
      const references = [...new Set(packs.map(({ reference }) => reference.trim()).filter((each) => each !== ''))];
      const sizes = packs.map(({ packAmount }) => `${packAmount} ${UNIT_WORDS[thing.unit]}`);
      return [{ hasBox: false, cells: [cell(thing.name), cell(name), cell(references.join(', ')), cell(sizes.join(', '))] }];
    });
  });
  if (rows.length === 0) return null;
  return part('sources', 'Where it can be had', [
    {
      is: 'table',
      about: 'Who sells what is needed, what they call it, and in which packs',
      columns: ['What', 'From', 'Called there', 'Packs'].map((title) => ({ title, isNumber: false })),
      rows,
    },
  ]);
} // prettier-ignore

function thingOf(itemId: string, { fibres, findings }: BookletSource['wool']) {
  const fibre = fibres.get(itemId);
  if (fibre) return { name: `${fibre.name}, ${PREPARATION_WORDS[fibre.preparation]}`, unit: 'g' } as const;
  const finding = findings.get(itemId);
  return finding ? { name: finding.name, unit: unitOfFinding(finding.measure) } : null;
}
