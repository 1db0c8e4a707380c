import type { Blend } from './blend/index.ts';
import type { Fibre, Preparation } from './fibre/index.ts';
import { type Finding, unitOfFinding } from './finding/index.ts';
import { type Needle, needleName } from './needle/index.ts';
import type { Tool } from './tool/index.ts';
import type { StockUnit } from './stock/index.ts';

/** One drawer to look into: what lies there is counted or weighed by itself. */
export interface ToCount {
  readonly kind: 'fibre' | 'blend' | 'finding' | 'needle' | 'tool';
  readonly itemId: string;
  /** A fibre is counted lot by lot; null: it has no lots. */
  readonly lotId: string | null;
  readonly name: string;
  /** Two of one name are told apart by it; null: it is no wool. */
  readonly preparation: Preparation | null;
  /** Of a fibre, which of its lots. */
  readonly lotName: string;
  readonly place: string;
  readonly unit: StockUnit;
  /** In that unit; null: it was never counted. */
  readonly onHand: number | null;
}

interface CountedShelf {
  readonly fibres: readonly Fibre[];
  readonly blends: readonly Blend[];
  readonly findings: readonly Finding[];
  readonly needles: readonly Needle[];
  readonly tools: readonly Tool[];
}

const ofLots = (
  kind: 'fibre' | 'blend',
  { id, name, preparation, lots }: Pick<Fibre, 'id' | 'name' | 'preparation' | 'lots'>,
): ToCount[] =>
  lots.map((lot) => ({
    kind,
    itemId: id,
    lotId: lot.id,
    name,
    preparation,
    lotName: lot.name,
    place: lot.place,
    unit: 'g',
    onHand: lot.onHandG,
  }));

/** Every drawer of the shelf that is in use, kind by kind, by name: a fibre without a lot has nothing to be counted. */
export function toCount({ fibres, blends, findings, needles, tools }: CountedShelf): ToCount[] {
  const inUse = <T extends { readonly archived: boolean }>(all: readonly T[]) =>
    all.filter(({ archived }) => !archived);
  const plain = { lotId: null, lotName: '', preparation: null } as const;
  return [
    ...inUse(fibres).flatMap((fibre) => ofLots('fibre', fibre)),
    ...inUse(blends).flatMap((blend) => ofLots('blend', blend)),
    ...inUse(findings).map(({ id, name, place, measure, onHand }) => ({
      ...plain,
      kind: 'finding' as const,
      itemId: id,
      name,
      place,
      unit: unitOfFinding(measure),
      onHand,
    })),
    ...inUse(needles).map((needle) => ({
      ...plain,
      kind: 'needle' as const,
      itemId: needle.id,
      name: needleName(needle),
      place: needle.place,
      unit: 'piece' as const,
      onHand: needle.onHand,
    })),
    ...inUse(tools).map(({ id, name, place, onHand }) => ({
      ...plain,
      kind: 'tool' as const,
      itemId: id,
      name,
      place,
      unit: 'piece' as const,
      onHand,
    })),
  ];
}
