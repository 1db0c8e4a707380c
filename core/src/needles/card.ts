import type { Depth, Stage, Step, Stroke } from '../pattern/index.ts';
import { type NeedleWanted, wantedKey } from '../shelf/index.ts';
import type { Ladder, Rung } from './flags.ts';
import type { Change } from './path.ts';

/** One line of the card learners get: how a stage is worked with one needle. */
export interface CardLine {
  readonly stage: Stage;
  readonly wanted: NeedleWanted;
  readonly rung: Rung | null;
  /** Needles at once, fewest first. */
  readonly holders: readonly number[];
  /** In the order they come up. */
  readonly strokes: readonly Stroke[];
  readonly depths: readonly Depth[];
  readonly steps: readonly Step[];
  /** When to go on to the next line; null at the end, and where the same needle goes on. */
  readonly change: Change | null;
}

/** The stages as they follow one another, a line for each needle in them. */
export function needleCard(ladder: Ladder): CardLine[] {
  const groups: { stage: Stage; wanted: NeedleWanted; steps: Step[] }[] = [];
  for (const { step, wanted } of ladder.path.stretches) {
    if (!wanted) continue;
    const ownGroup = groups.find(
      (group) => group.stage === step.stage && wantedKey(group.wanted) === wantedKey(wanted),
    );
    if (ownGroup) ownGroup.steps.push(step);
    else groups.push({ stage: step.stage, wanted, steps: [step] });
  }
  return groups.map(({ stage, wanted, steps }) => ({
    stage,
    wanted,
    rung: ladder.rungs.find(({ key }) => key === wantedKey(wanted)) ?? null,
    holders: distinct(steps.map(({ holder }) => holder ?? 1)).sort((a, b) => a - b),
    strokes: distinct(steps.flatMap(({ stroke }) => stroke ?? [])),
    depths: distinct(steps.flatMap(({ depth }) => depth ?? [])),
    steps,
    change: ladder.path.changes.find(({ afterStepId }) => afterStepId === steps.at(-1)?.id) ?? null,
  }));
}

const distinct = <T>(values: readonly T[]): T[] => [...new Set(values)];
