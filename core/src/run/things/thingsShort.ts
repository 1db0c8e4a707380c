import type { Wool } from '../../engine/index.ts';
import { kitAgainst, type NeedleKit } from '../../needles/index.ts';
import type { Needle, NeedleWanted, StockUnit, Tool } from '../../shelf/index.ts';
import type { ToPack } from '../packs/toPack.ts';
import { needlesOfBoxes } from './boxNeedles.ts';
import { findingsOfRun, type SpareTerms } from './findingsOfRun.ts';
import { promiseOf, type ThingPromises, type TooLarge } from './thingStock.ts';
import { type RoomTerms, type RoomTool, toolsOfRun } from './toolsOfRun.ts';

/** A finding or a sort of needle that a run wants more of than is there for it. */
export type ThingShort = {
  readonly unit: StockUnit;
  /** Null: nobody has counted, or no put-up is large enough. */
  readonly short: number | null;
  /** Comes back when the day is over. */
  readonly isLent: boolean;
} & (
  | {
      readonly kind: 'finding';
      readonly findingId: string;
      readonly putUps: number | null;
      readonly tooLarge: TooLarge | null;
    }
  /** `needle` null: none of this sort is on the shelf. */
  | {
      readonly kind: 'needle';
      readonly wanted: NeedleWanted;
      readonly needle: Needle | null;
      /** By this run, spares among them. */
      readonly count: number;
    }
  /** Of a class; what the shelf does not keep is not told. */
  | { readonly kind: 'holder'; readonly tool: Tool; readonly count: number }
  | { readonly kind: 'tool'; readonly tool: RoomTool }
);

/** What a run is held against beside its wool. */
export interface ThingSources {
  readonly findings: Wool['findings'];
  readonly needles: readonly Needle[];
  readonly tools: readonly Tool[];
  /** Of a class; null for kits. */
  readonly kit: NeedleKit | null;
  /** What runs before take. */
  readonly promised: ThingPromises;
}

/** Everything beside wool that is short for a run, or that nobody has counted. */
export function thingsShort(
  toPack: Pick<ToPack, 'groups' | 'estimates'>,
  terms: SpareTerms & RoomTerms,
  { findings, needles, tools, kit, promised }: ThingSources,
): ThingShort[] {
  const found = findingsOfRun(toPack, findings, terms, promised)
    .filter(({ short }) => short !== 0)
    .map(({ findingId, unit, short, putUps, tooLarge }): ThingShort => ({
      kind: 'finding',
      findingId,
      isLent: false,
      unit,
      short,
      putUps,
      tooLarge,
    }));
  const given = needlesOfBoxes(toPack, needles, promised)
    .filter(({ short }) => short !== 0)
    .map(({ wanted, needle, short, total }): ThingShort => ({
      kind: 'needle',
      wanted,
      needle,
      count: total,
      isLent: false,
      unit: 'piece',
      short: needle === null ? total : short,
    }));
  const held = kit && kitAgainst(kit, (itemId) => promiseOf(promised, itemId).amount);
  const lent = (held?.lines ?? [])
    .filter(({ toBuy }) => toBuy !== 0)
    .map((line): ThingShort => ({
      kind: 'needle',
      wanted: line.wanted,
      needle: line.isNearest ? null : line.needle,
      count: line.total,
      isLent: true,
      unit: 'piece',
      short: line.toBuy,
    }));
  const holders = (held?.holders ?? []).flatMap(({ tool, total, short }): ThingShort[] =>
    tool === null || short === 0
      ? []
      : [{ kind: 'holder', tool, count: total, isLent: true, unit: 'piece', short }],
  );
  const atHand = toolsOfRun(toPack, terms, tools, promised)
    .filter((tool) => tool.tools.length > 0 && tool.short !== 0)
    .map((tool): ThingShort => ({
      kind: 'tool',
      tool,
      isLent: !tool.tools.some(({ isConsumed }) => isConsumed),
      unit: 'piece',
      short: tool.short,
    }));
  return [...found, ...given, ...lent, ...holders, ...atHand];
}
