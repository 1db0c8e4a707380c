import { needleName, unitOfFinding } from '../shelf/index.ts';
import { type ListKind, writeRow, writeTable } from '../tables/index.ts';
import { UNIT_WORDS } from '../words/index.ts';
import { LIST_COLUMNS } from './lists.ts';
import type { ShelfView } from './plannedRow.ts';

/** A list of the shelf as CSV; read again, it changes nothing. */
export function exportList(kind: ListKind, shelf: ShelfView): string {
  const columns = LIST_COLUMNS[kind];
  const rows = thingsOf(kind, shelf).map((thing) => writeRow(columns, thing));
  return writeTable(
    columns.map(({ header }) => header),
    rows,
  );
}

function thingsOf(kind: ListKind, shelf: ShelfView): readonly object[] {
  switch (kind) {
    case 'fibres':
      return shelf.fibres;
    case 'findings':
      return shelf.findings;
    case 'needles':
      return shelf.needles;
    case 'prices':
      return priceRows(shelf);
    case 'counts':
      return countRows(shelf);
  }
}

function priceRows(shelf: ShelfView): object[] {
  const named = new Map<string, { item: string; preparation: string | null }>([
    ...[...shelf.fibres, ...shelf.blends].map(
      ({ id, name, preparation }) => [id, { item: name, preparation: preparation }] as const,
    ),
    ...[...shelf.findings, ...shelf.tools].map(
      ({ id, name }) => [id, { item: name, preparation: null }] as const,
    ),
    ...shelf.needles.map((needle) => [needle.id, { item: needleName(needle), preparation: null }] as const),
  ]);
  return shelf.suppliers.flatMap(({ name, offers, assortments = [] }) => [
    ...offers.flatMap((offer) => {
      const item = named.get(offer.itemId);
      return item ? [{ supplier: name, breaks: [], assortment: '', ...item, ...offer }] : [];
    }),
    ...assortments.flatMap(({ name: assortment, priceMinor, reference, contents }) =>
      contents.flatMap(({ itemId, amount: packAmount }) => {
        const item = named.get(itemId);
        return item
          ? [{ supplier: name, ...item, packAmount, priceMinor, reference, breaks: [], assortment }]
          : [];
      }),
    ),
  ]);
}

/** One row for each lot, or for each thing kept without; what was never counted is left out. */
function countRows(shelf: ShelfView): object[] {
  const lots = [...shelf.fibres, ...shelf.blends].flatMap(({ name, preparation, lots: fibre }) =>
    fibre.map((lot) => ({ item: name, preparation, lot: lot.name, amount: lot.onHandG, unit: UNIT_WORDS.g })),
  );
  const pieces = [
    ...shelf.findings.map(({ name, onHand, measure }) => ({
      item: name,
      amount: onHand,
      unit: UNIT_WORDS[unitOfFinding(measure)],
    })),
    ...shelf.needles.map((needle) => ({
      item: needleName(needle),
      amount: needle.onHand,
      unit: UNIT_WORDS.piece,
    })),
    ...shelf.tools.map(({ name, onHand }) => ({ item: name, amount: onHand, unit: UNIT_WORDS.piece })),
  ].map((row) => ({ preparation: null, lot: '', ...row }));
  return [...lots, ...pieces].filter(({ amount }) => amount !== null);
}
