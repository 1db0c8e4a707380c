import type { Wool } from '../engine/index.ts';
import { kitAgainst } from '../needles/index.ts';
import {
  type ClassKitSources,
  type ClassPlan,
  kitOfClass,
  type PackedRun,
  promiseOf,
  type ThingPromises,
} from '../run/index.ts';
import { type Blend, recipesOf, type Tool } from '../shelf/index.ts';
import type { PaperSource } from './paper.ts';

/** What papers need beside the run itself: the shelf as it is today, and what runs before leave of it. */
export interface PaperFacts extends Omit<ClassKitSources, 'wool' | 'tools'> {
  readonly runId: string;
  readonly shelf: Wool;
  readonly blends: readonly Blend[];
  readonly tools: readonly Tool[];
  readonly promised: ThingPromises;
  /** By the revision’s id. */
  readonly revisionNumbers: ReadonlyMap<string, number>;
  /** What it takes has left the shelf. */
  readonly isPacked: boolean;
  /** Of the day, as it stands: it goes on being written when numbers are kept already. */
  readonly dayPlan: ClassPlan;
}

/** Everything papers of a run are made from: the one way, for the screen and for files. */
export function paperSource(packed: PackedRun, facts: PaperFacts): PaperSource {
  const { toPack, plan, packs, wool } = packed;
  const input = { ...packed.input, plan: facts.dayPlan };
  const { shelf, promised, needles, tools } = facts;
  return {
    runId: facts.runId,
    input,
    toPack,
    plan,
    packs,
    // What is on hand is today’s, whatever the numbers were planned from.
    wool: { ...wool, findings: shelf.findings },
    revisionNumbers: facts.revisionNumbers,
    kit:
      input.kind === 'class'
        ? kitAgainst(
            kitOfClass(input, { ...facts, wool: shelf }).kit,
            (itemId) => promiseOf(promised, itemId).amount,
          )
        : null,
    needles,
    tools,
    promised,
    shelf: shelf.fibres,
    isPacked: facts.isPacked,
    recipes: recipesOf(facts.blends),
  };
}
