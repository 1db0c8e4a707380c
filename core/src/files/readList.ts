import { type Assortment, BLANK_SUPPLIER, type Offer, sameName, type SupplierInput } from '../shelf/index.ts';
import {
  type CsvRefusal,
  decodeText,
  type Delimiter,
  type Encoding,
  guessDecimal,
  guessDelimiter,
  guessEncoding,
  headerKey,
  LIST_KINDS,
  type ListKind,
  readTable,
} from '../tables/index.ts';
import type { ImportInput } from './importInput.ts';
import { LIST_COLUMNS } from './lists.ts';
import { planImport } from './planImport.ts';
import type { PlannedRow, RowChange, ShelfView } from './plannedRow.ts';

/** How the file is to be read; null leaves it to be guessed. */
export interface ListSettings {
  readonly encoding: Encoding | null;
  readonly delimiter: Delimiter | null;
  readonly decimal: '.' | ',' | null;
}

export interface ListPreview {
  readonly encoding: Encoding;
  readonly delimiter: Delimiter;
  readonly decimal: '.' | ',';
  readonly header: readonly string[];
  /** Columns of the file that mean nothing here. */
  readonly unread: readonly string[];
  readonly rows: readonly PlannedRow[];
}

export type ReadListResult =
  { readonly ok: true; readonly preview: ListPreview } | { readonly ok: false; readonly refusal: CsvRefusal };

export const LARGEST_FILE_BYTES = 20_000_000;
const MOST_ROWS = 20_000;
const PROGRESS_EVERY = 250;

/** Every row of a file as it will be read. Nothing is changed by reading. */
export function readList(
  bytes: Uint8Array,
  kind: ListKind,
  settings: ListSettings,
  shelf: ShelfView,
  onProgress: (fraction: number) => void = () => undefined,
): ReadListResult {
  if (bytes.length > LARGEST_FILE_BYTES) {
    return refused({ code: 'file_too_large', sizeBytes: bytes.length, limitBytes: LARGEST_FILE_BYTES });
  }
  const encoding = settings.encoding ?? guessEncoding(bytes);
  const text = decodeText(bytes, encoding);
  if (text === null) return refused({ code: 'not_text' });
  const delimiter = settings.delimiter ?? guessDelimiter(text);
  const { header, rows } = readTable(text, delimiter);
  if (rows.length === 0 && header.every((cell) => cell === '')) return refused({ code: 'file_empty' });
  const missing = missingColumns(kind, header);
  if (missing.length > 0) {
    const looksLike = LIST_KINDS.find((other) => missingColumns(other, header).length === 0) ?? null;
    return refused({ code: 'columns_missing', kind, missing, looksLike, header });
  }
  if (rows.length === 0) return refused({ code: 'file_empty' });
  if (rows.length > MOST_ROWS) return refused({ code: 'too_many_rows', rows: rows.length, limit: MOST_ROWS });
  const decimal = settings.decimal ?? guessDecimal(text, delimiter);
  const plan = planImport(kind, shelf, { decimal });
  const planned = rows.map(({ line, cells }, index) => {
    if (index % PROGRESS_EVERY === 0) onProgress(index / rows.length);
    return plan(line, cells);
  });
  return {
    ok: true,
    preview: { encoding, delimiter, decimal, header, unread: unreadColumns(kind, header), rows: planned },
  };
}

const refused = (refusal: CsvRefusal): ReadListResult => ({ ok: false, refusal });

function missingColumns(kind: ListKind, header: readonly string[]): string[] {
  const there = new Set(header.map(headerKey));
  return LIST_COLUMNS[kind]
    .filter((listColumn) => listColumn.isNeeded && !there.has(headerKey(listColumn.header)))
    .map((listColumn) => listColumn.header);
}

function unreadColumns(kind: ListKind, header: readonly string[]): string[] {
  const known = new Set(LIST_COLUMNS[kind].map((listColumn) => headerKey(listColumn.header)));
  return header.filter((cell) => cell !== '' && !known.has(headerKey(cell)));
}

/** What the ticked rows do together. */
export function toImport(fileName: string, rows: readonly PlannedRow[], shelf: ShelfView): ImportInput {
  const changes = rows.flatMap(({ change }) => change ?? []);
  const suppliers = suppliersOf(
    changes.flatMap((change) => (change.kind === 'offer' || change.kind === 'content' ? change : [])),
    shelf,
  );
  return {
    fileName,
    creates: [
      ...changes.flatMap((change) =>
        change.kind === 'create' ? { kind: change.itemKind, input: change.input } : [],
      ),
      ...suppliers.flatMap(({ stored, input }) => (stored ? [] : { kind: 'supplier' as const, input })),
    ],
    updates: [
      ...changes.flatMap((change) =>
        change.kind === 'update'
          ? { kind: change.itemKind, id: change.id, version: change.version, input: change.input }
          : [],
      ),
      ...suppliers.flatMap(({ stored, input }) =>
        stored ? { kind: 'supplier' as const, id: stored.id, version: stored.version, input } : [],
      ),
    ],
    counts: changes.flatMap((change) => (change.kind === 'count' ? change.count : [])),
  };
}

type PriceChange = Extract<RowChange, { kind: 'offer' | 'content' }>;

/** Each supplier with its new prices over the ones it had. */
function suppliersOf(changes: readonly PriceChange[], shelf: ShelfView) {
  const byName = new Map<string, PriceChange[]>();
  for (const change of changes) {
    const { supplierName } = change;
    const known = [...byName.keys()].find((name) => sameName(name, supplierName)) ?? supplierName.trim();
    byName.set(known, [...(byName.get(known) ?? []), change]);
  }
  return [...byName].map(([name, ofSupplier]) => {
    const stored = shelf.suppliers.find((supplier) => sameName(supplier.name, name));
    const fresh = ofSupplier.flatMap((change) => (change.kind === 'offer' ? change.offer : []));
    const isReplaced = (old: Offer) =>
      fresh.some((offer) => offer.itemId === old.itemId && offer.packAmount === old.packAmount);
    const { id: _id, version: _version, ...rest } = stored ?? { ...BLANK_SUPPLIER, id: '', version: 0, name };
    const assortments = ofSupplier.reduce(withContent, rest.assortments ?? []);
    const input: SupplierInput = {
      ...rest,
      offers: [...rest.offers.filter((old) => !isReplaced(old)), ...fresh],
      ...(assortments.length > 0 && { assortments: [...assortments] }),
    };
    return { stored, input };
  });
}

/** What a row says of one thing of a pack goes into that pack; the others of it stay. */
function withContent(assortments: readonly Assortment[], change: PriceChange): readonly Assortment[] {
  if (change.kind !== 'content') return assortments;
  const { assortment: fresh } = change;
  const [content] = fresh.contents;
  const before = assortments.find(({ name }) => sameName(name, fresh.name));
  if (!before || !content) return [...assortments, fresh];
  const contents = [...before.contents.filter(({ itemId }) => itemId !== content.itemId), content];
  return assortments.map((assortment) =>
    assortment === before ? { ...fresh, name: before.name, contents } : assortment,
  );
}
