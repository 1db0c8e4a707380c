import type { ItemUse } from '@lanakit/core/api';
import type { Problem } from '@lanakit/core/problems';
import {
  BlendInput,
  checkBlend,
  checkFibre,
  checkFinding,
  checkNeedle,
  checkSupplier,
  checkTool,
  FibreInput,
  FindingInput,
  itemsNamed,
  NeedleInput,
  needleName,
  SupplierInput,
  ToolInput,
} from '@lanakit/core/shelf';
import type { TObject } from '@sinclair/typebox';
import type { ItemKind, Store } from '../db/index.ts';

/** One item of the shelf, whatever its kind. */
export interface StoredItem {
  readonly id: string;
  readonly version: number;
}

/** What services, imports and the demo need to know of one kind of item. */
export interface ItemKindRules {
  readonly kind: ItemKind;
  /** Below /api. */
  readonly path: string;
  /** As a person says it: “a fibre”. */
  readonly singular: string;
  readonly schema: TObject;
  /** Stock is kept in lots, for each item, or not at all. */
  readonly stock: 'lots' | 'pieces' | 'none';
  /** @param id the item's own; null for a new one */
  readonly check: (input: unknown, id: string | null, store: Store) => Problem[];
  readonly nameOf: (input: unknown) => string;
  readonly all: (store: Store) => readonly StoredItem[];
  readonly find: (store: Store, id: string) => StoredItem | null;
  readonly uses: (store: Store, id: string) => ItemUse[];
}

const named = (input: unknown): string => (input as { name: string }).name;
const usesOf = (store: Store, id: string): ItemUse[] => store.items.uses(id);

const fibre: ItemKindRules = {
  kind: 'fibre',
  path: '/fibres',
  singular: 'a fibre',
  schema: FibreInput,
  stock: 'lots',
  check: (input) => checkFibre(input as FibreInput),
  nameOf: named,
  all: (store) => store.shelf.fibres(),
  find: (store, id) => store.shelf.fibre(id),
  uses: usesOf,
};

const blend: ItemKindRules = {
  kind: 'blend',
  path: '/blends',
  singular: 'a blend',
  schema: BlendInput,
  stock: 'lots',
  check: (input, id, store) => {
    const blends = new Map(store.items.all<BlendInput>('blend').map((stored) => [stored.id, stored]));
    return checkBlend(
      input as BlendInput,
      id,
      (itemId) => blends.get(itemId)?.parts,
      (itemId) => {
        const found = store.items.kindOf(itemId);
        return found && (found.kind === 'fibre' || found.kind === 'blend') ? found.name : undefined;
      },
    );
  },
  nameOf: named,
  all: (store) => store.shelf.blends(),
  find: (store, id) => store.shelf.blend(id),
  uses: usesOf,
};

const finding: ItemKindRules = {
  kind: 'finding',
  path: '/findings',
  singular: 'a finding',
  schema: FindingInput,
  stock: 'pieces',
  check: (input) => checkFinding(input as FindingInput),
  nameOf: named,
  all: (store) => store.shelf.findings(),
  find: (store, id) => store.shelf.finding(id),
  uses: usesOf,
};

const needle: ItemKindRules = {
  kind: 'needle',
  path: '/needles',
  singular: 'a needle',
  schema: NeedleInput,
  stock: 'pieces',
  check: (input) => checkNeedle(input as NeedleInput),
  nameOf: (input) => needleName(input as NeedleInput),
  all: (store) => store.shelf.needles(),
  find: (store, id) => store.shelf.needle(id),
  // Steps name a gauge, not a needle: it is used wherever its gauge is asked for.
  uses: (store, id) => {
    const gauge = store.shelf.needle(id)?.gauge ?? null;
    return [...usesOf(store, id), ...(gauge === null ? [] : store.items.usesOfGauge(gauge))];
  },
};

const tool: ItemKindRules = {
  kind: 'tool',
  path: '/tools',
  singular: 'a tool, holder or surface',
  schema: ToolInput,
  stock: 'pieces',
  check: (input) => checkTool(input as ToolInput),
  nameOf: named,
  all: (store) => store.shelf.tools(),
  find: (store, id) => store.shelf.tool(id),
  uses: usesOf,
};

const supplier: ItemKindRules = {
  kind: 'supplier',
  path: '/suppliers',
  singular: 'a supplier',
  schema: SupplierInput,
  stock: 'none',
  check: (input, _id, store) => [
    ...checkSupplier(input as SupplierInput),
    ...(input as SupplierInput).offers.flatMap(({ itemId }, index): Problem[] =>
      store.items.kindOf(itemId)
        ? []
        : [{ code: 'not_on_shelf', pointer: `/offers/${index}/itemId`, name: itemId }],
    ),
    ...((input as SupplierInput).assortments ?? []).flatMap(({ contents }, index) =>
      contents.flatMap(({ itemId }, at): Problem[] =>
        store.items.kindOf(itemId)
          ? []
          : [
              {
                code: 'not_on_shelf',
                pointer: `/assortments/${index}/contents/${at}/itemId`,
                name: itemId,
              },
            ],
      ),
    ),
  ],
  nameOf: named,
  all: (store) => store.shelf.suppliers(),
  find: (store, id) => store.shelf.supplier(id),
  uses: usesOf,
};

export const ITEM_KINDS = { fibre, blend, finding, needle, tool, supplier } as const satisfies Record<
  ItemKind,
  ItemKindRules
>;

/** An item ready to be written. */
export const writeOf = (kind: ItemKindRules, input: unknown) => ({
  kind: kind.kind,
  name: kind.nameOf(input),
  input: trimmed(input as { archived: boolean }),
  links: itemsNamed(kind.kind, input),
});

function trimmed<T extends { archived: boolean }>(input: T): T {
  return 'name' in input && typeof input.name === 'string' ? { ...input, name: input.name.trim() } : input;
}
