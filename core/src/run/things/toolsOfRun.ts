import type { Need } from '../../needles/index.ts';
import { isSameToolName, type Provision, type Tool, type ToolKey, wantingOf } from '../../shelf/index.ts';
import type { RunInput } from '../document/run.ts';
import type { ToPack } from '../packs/toPack.ts';
import { needsOfGroup } from './needsOfGroup.ts';
import { promiseOf, type ThingPromises } from './thingStock.ts';

/** A tool that the room of a class wants, held against the shelf. */
export interface RoomTool {
  readonly key: string;
  readonly what: Need['what'];
  readonly per: Provision;
  /** Over all seats and tables. */
  readonly total: number;
  /** Whether a shelf could keep it; what is printed for the day, or comes from the tap, is there when it is made ready. */
  readonly isKept: boolean;
  /** Tools of the shelf that do for it; none: the shelf does not keep it. */
  readonly tools: readonly Tool[];
  /** Of all of them; null: nobody has counted, or none is kept. */
  readonly onHand: number | null;
  /** Used up by runs before. */
  readonly promised: number;
  /** Null where nobody can tell. */
  readonly short: number | null;
}

/** Terms of a class that tell how many of each tool there are. */
export type RoomTerms = Pick<RunInput, 'kind' | 'seats' | 'seatsPerTable'>;

const tablesOf = ({ seats, seatsPerTable }: Pick<RunInput, 'seats' | 'seatsPerTable'>): number =>
  Math.ceil(seats / Math.max(1, seatsPerTable));

/**
 * Every tool of a class: each person’s own once for every seat that wants it, shared ones once for each table or for the
 * room. What of it is used up is no longer there for runs after; the others come back. Who opens a box has tools of
 * their own. Holders are counted with the needles that are in them.
 */
export function toolsOfRun(
  { groups }: Pick<ToPack, 'groups'>,
  terms: RoomTerms,
  shelf: readonly Tool[],
  promised: ThingPromises,
): RoomTool[] {
  if (terms.kind === 'kits') return [];
  const wanted = new Map<string, Pick<RoomTool, 'key' | 'what' | 'per' | 'total'>>();
  for (const group of groups.filter(({ sample }) => !sample)) {
    for (const { key, what, per, alone, isUsedUp } of needsOfGroup(group)) {
      if (what.is === 'needle' || key === 'holder') continue;
      const before = wanted.get(keyOf(key, what))?.total ?? 0;
      const shared = alone * (per === 'table' ? tablesOf(terms) : 1);
      // Shown on a pack of its own, what is used up goes as well.
      const people = group.seats.length + (isUsedUp ? group.demonstrations : 0);
      const total = per === 'person' ? before + alone * people : Math.max(before, shared);
      wanted.set(keyOf(key, what), { key, what, per, total });
    }
  }
  return [...wanted.values()].map((roomTool) => ({
    ...roomTool,
    isKept: !(roomTool.what.is === 'tool' && NEVER_KEPT.has(roomTool.what.tool)),
    ...stockOfTool(roomTool, shelf, promised),
  }));
}

/** Two patterns that each list a tool by name mean the same one. */
const keyOf = (key: string, what: Need['what']): string =>
  what.is === 'own' ? `own ${what.name.trim().toLowerCase()}` : key;

function stockOfTool(
  { what, total }: Pick<RoomTool, 'what' | 'total'>,
  shelf: readonly Tool[],
  promised: ThingPromises,
): Pick<RoomTool, 'tools' | 'onHand' | 'promised' | 'short'> {
  const tools = shelf.filter((tool) => !tool.archived && doesFor(what, tool));
  const before = tools.reduce((sum, { id }) => sum + promiseOf(promised, id).amount, 0);
  const isCounted = tools.length > 0 && tools.every(({ onHand }) => onHand !== null);
  const countedUp = tools.reduce((sum, { onHand }) => sum + (onHand ?? 0), 0);
  const wanting = wantingOf(total, countedUp, before);
  return {
    tools,
    onHand: isCounted ? countedUp : null,
    promised: before,
    // What is counted may do already.
    short: isCounted || wanting === 0 ? wanting : null,
  };
}

const NEVER_KEPT = new Set<ToolKey>(['guide', 'water']);

/** What steps call for is told by what a tool stands for; what an author lists by its name. */
const doesFor = (what: Need['what'], tool: Tool): boolean =>
  what.is === 'tool'
    ? tool.standsFor === what.tool
    : what.is === 'own' && isSameToolName(tool.name, what.name);

/** Wanted, and the shelf, which could, does not keep it: nobody can tell whether it is there. */
export const isElsewhere = ({ isKept, tools }: Pick<RoomTool, 'isKept' | 'tools'>): boolean =>
  isKept && tools.length === 0;

/** Tools of the shelf that a class uses up, pieces by their id. */
export const toolsUsedUp = (
  toPack: Pick<ToPack, 'groups'>,
  terms: RoomTerms,
  shelf: readonly Tool[],
): Map<string, number> => piecesOf(toPack, terms, shelf, true);

/** Tools of the shelf that are away for the day and come back, pieces by their id. */
export const toolsLent = (
  toPack: Pick<ToPack, 'groups'>,
  terms: RoomTerms,
  shelf: readonly Tool[],
): Map<string, number> => piecesOf(toPack, terms, shelf, false);

/** Of several tools that do for one thing the first is taken as far as it goes; the last makes up for the rest. */
function piecesOf(
  toPack: Pick<ToPack, 'groups'>,
  terms: RoomTerms,
  shelf: readonly Tool[],
  isUsedUp: boolean,
): Map<string, number> {
  const pieces = new Map<string, number>();
  for (const { tools, total } of toolsOfRun(toPack, terms, shelf, new Map())) {
    let wanted = total;
    for (const [at, { id, onHand, isConsumed }] of tools.entries()) {
      const amount = at === tools.length - 1 ? wanted : Math.min(wanted, Math.max(0, onHand ?? wanted));
      wanted -= amount;
      if (amount > 0 && isConsumed === isUsedUp) pieces.set(id, (pieces.get(id) ?? 0) + amount);
    }
  }
  return pieces;
}
