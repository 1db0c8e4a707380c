import type { ShelfView } from '@lanakit/core/files';
import {
  type Blend,
  type BlendInput,
  computeBlends,
  type Fibre,
  type FibreInput,
  type Finding,
  type FindingInput,
  type Lot,
  type Needle,
  type NeedleInput,
  type Supplier,
  type SupplierInput,
  type Tool,
  type ToolInput,
} from '@lanakit/core/shelf';
import type { itemQueries, ItemKind, StoredItem } from './items.ts';
import type { CutFromOf } from './cutting.ts';
import type { remembered } from './remembered.ts';
import type { OnHand, stockQueries } from './stock.ts';

const NOTHING: OnHand = { onHand: null, peak: 0 };
const NO_LOTS: readonly Lot[] = [];

/** The shelf put together from items, lots and the ledger. */
export function shelfReader(
  items: ReturnType<typeof itemQueries>,
  stock: ReturnType<typeof stockQueries>,
  remember: ReturnType<typeof remembered>['remember'],
  /** What is known of the pieces that things are in, by thing. */
  cutFrom: () => CutFromOf,
) {
  const pieces = <T>(kind: ItemKind) => {
    const onHand = stock.onHand();
    return items.all<T>(kind).map((item) => ({ ...item, ...(onHand.get(item.id) ?? NOTHING) }));
  };
  const piece = <T>(kind: ItemKind, id: string) => {
    const item = items.find<T>(kind, id);
    return item && { ...item, ...stock.onHandOf(id) };
  };
  const inLots = <T>(kind: ItemKind) => {
    const [lots, onHand] = [stock.lots(), stock.onHand()];
    return items
      .all<T>(kind)
      .map((item) => withLots(item, lots.get(item.id) ?? NO_LOTS, onHand.get(item.id) ?? NOTHING));
  };
  // Asked for again and again: by itself, for blends, for whatever weighs wool.
  const fibres = (): readonly Fibre[] =>
    remember(['things', 'ledger'], 'fibres', () => inLots<FibreInput>('fibre'));
  const blends = (known: readonly Fibre[] = fibres()): Blend[] =>
    computeBlends(inLots<BlendInput>('blend'), new Map(known.map((fibre) => [fibre.id, fibre])));

  return {
    fibres,
    fibre: (id: string): Fibre | null => {
      const item = items.find<FibreInput>('fibre', id);
      return item && withLots(item, stock.lotsOf(id), stock.onHandOf(id));
    },
    blends,
    blend: (id: string): Blend | null => blends().find((blend) => blend.id === id) ?? null,
    findings: (): Finding[] => {
      const known = cutFrom();
      return pieces<FindingInput>('finding').map((finding) => ({ ...finding, cutFrom: known(finding.id) }));
    },
    finding: (id: string): Finding | null => {
      const finding = piece<FindingInput>('finding', id);
      return finding && { ...finding, cutFrom: cutFrom()(id) };
    },
    needles: (): Needle[] => pieces<NeedleInput>('needle'),
    needle: (id: string): Needle | null => piece<NeedleInput>('needle', id),
    tools: (): Tool[] => pieces<ToolInput>('tool'),
    tool: (id: string): Tool | null => piece<ToolInput>('tool', id),
    suppliers: (): Supplier[] => items.all<SupplierInput>('supplier'),
    supplier: (id: string): Supplier | null => items.find<SupplierInput>('supplier', id),
  };
}

export type ShelfReader = ReturnType<typeof shelfReader>;

/** Everything at once, as an import or an export finds it. */
export const viewOf = (shelf: ShelfReader): ShelfView => {
  const fibres = shelf.fibres();
  return {
    fibres,
    blends: shelf.blends(fibres),
    findings: shelf.findings(),
    needles: shelf.needles(),
    tools: shelf.tools(),
    suppliers: shelf.suppliers(),
  };
};

const withLots = <T>(item: T & StoredItem, lots: readonly Lot[], { onHand, peak }: OnHand) => ({
  ...item,
  lots,
  onHandG: onHand,
  peakG: peak,
});
