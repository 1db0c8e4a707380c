import type { Pattern } from './pattern.ts';
import type { Step } from './step.ts';

/** The gauge a step is done with: its own, or its stage's; null where it takes no needle or none is said. */
export function gaugeOf(
  { needle, stage }: Step,
  { stageNeedles }: Pick<Pattern, 'stageNeedles'>,
): number | null {
  switch (needle.by) {
    case 'gauge':
      return needle.gauge;
    case 'stage':
      return stageNeedles.find((rung) => rung.stage === stage)?.gauge ?? null;
    case 'none':
      return null;
  }
}

/** Acts that are done without a needle, unless the author says which. */
const WITHOUT_NEEDLE = new Set(['wait', 'check', 'cut', 'glue', 'sew', 'choose', 'decide']);

/** Whether somebody reading this step would ask which needle. */
export const isNeedleMissing = (step: Step, pattern: Pick<Pattern, 'stageNeedles'>): boolean =>
  step.needle.by === 'stage' && !WITHOUT_NEEDLE.has(step.act.kind) && gaugeOf(step, pattern) === null;
