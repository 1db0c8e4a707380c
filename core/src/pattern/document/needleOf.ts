import type { NeedleWanted } from '../../shelf/index.ts';
import type { Pattern } from './pattern.ts';
import { proposedNeedle } from './school.ts';
import type { Step } from './step.ts';

/** What tells which needle a step takes: the school, and the maker’s own table. */
export type NeedleHabit = Pick<Pattern, 'school' | 'stageNeedles'>;

/** Acts that are done without a needle, unless the author says which. */
const WITHOUT_NEEDLE = new Set(['wait', 'check', 'cut', 'glue', 'sew', 'choose', 'decide']);

/** The needle a step is done with: its own, or its school’s; null where it takes none or none is said. */
export function needleOf(step: Step, { school, stageNeedles }: NeedleHabit): NeedleWanted | null {
  const { needle } = step;
  switch (needle.by) {
    case 'gauge':
    case 'feel':
      return needle;
    case 'stage':
      return WITHOUT_NEEDLE.has(step.act.kind) ? null : proposedNeedle(school, stageNeedles, step);
    case 'none':
      return null;
  }
}

/** What the school would have it done with, whatever the author said. */
export const needleOfSchool = (step: Step, habit: NeedleHabit): NeedleWanted | null =>
  needleOf({ ...step, needle: { by: 'stage' } }, habit);

/** Whether somebody reading this step would ask which needle. */
export const isNeedleMissing = (step: Step, habit: NeedleHabit): boolean =>
  step.needle.by === 'stage' && !WITHOUT_NEEDLE.has(step.act.kind) && needleOf(step, habit) === null;
