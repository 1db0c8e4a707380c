import type { Pattern, Step } from '../pattern/index.ts';
import { joinedBy, JOINING } from '../writing/index.ts';

/** The steps on each part, in their order; a part that no step is on is not there. */
export function stepsByPart({ steps }: Pattern): Map<string, Step[]> {
  const on = new Map<string, Step[]>();
  for (const step of steps)
    for (const partId of step.partIds) {
      const before = on.get(partId);
      if (before) before.push(step);
      else on.set(partId, [step]);
    }
  return on;
}

/** Where each part is set on, from 0; a part that no step sets on is not there. Tacked it may still be felted. */
export function joinSteps(pattern: Pattern): Map<string, number> {
  const at = new Map<string, number>();
  pattern.steps.forEach((step, index) => {
    if (!JOINING.has(step.act.kind) || step.act.kind === 'tack') return;
    for (const partId of joinedBy(step, pattern)) if (!at.has(partId)) at.set(partId, index);
  });
  return at;
}
