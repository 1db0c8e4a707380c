import type { Pattern, Step } from '../../pattern/index.ts';
import { orderLinks } from '../../writing/index.ts';

/** A place where a class cannot go on from what it has in hand, and wants a piece that is so far already. */
export interface StageSample {
  readonly stepId: string;
  /** From 1. */
  readonly stepNumber: number;
}

/**
 * Where a class would stand still: a wait after which everything left of the sitting needs what is waiting. A wait with
 * something else to do meanwhile, or with nothing after it before people go home, asks for no sample.
 */
export function stageSamples(pattern: Pattern): StageSample[] {
  const { steps, sessions } = pattern;
  const starts = new Set(sessions.slice(1).map(({ firstStepId }) => firstStepId));
  return steps.flatMap((step, at): StageSample[] => {
    if (step.waiting === null) return [];
    const rest = steps.slice(at + 1);
    const end = rest.findIndex(({ id }) => starts.has(id));
    const sitting = end < 0 ? rest : rest.slice(0, end);
    if (sitting.length === 0 || !allNeed(step, sitting, pattern)) return [];
    return [{ stepId: step.id, stepNumber: at + 1 }];
  });
}

/** Whether every one of these steps has to do with the parts that wait, or comes after one that has. */
function allNeed(waiting: Step, sitting: readonly Step[], pattern: Pattern): boolean {
  const links = orderLinks(pattern).filter(({ strength }) => strength === 'must');
  const held = [waiting];
  for (const step of sitting) {
    const isHeld = held.some(
      (before) =>
        sharesParts(before, step) ||
        links.some(({ beforeId, afterId }) => beforeId === before.id && afterId === step.id),
    );
    if (!isHeld) return false;
    held.push(step);
  }
  return true;
}

/** A step that names no part is about the whole figure. */
const sharesParts = ({ partIds }: Step, after: Step): boolean =>
  partIds.length === 0 || after.partIds.length === 0 || after.partIds.some((id) => partIds.includes(id));
