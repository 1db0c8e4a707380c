import type { Pattern, Step } from '@lanakit/core/pattern';
import type { Bagging } from '@lanakit/core/run';
import type { DayBand } from '@lanakit/core/timetable';
import { STAGE_WORDS } from '@lanakit/core/words';

interface OpenBag {
  readonly name: string;
  readonly from: number;
  readonly to: number;
}

/** Which bag is open when, where wool is bagged by what is done with it; in one bag, or bags of a sitting, there is nothing to tell. */
export function bagsOf(bands: readonly DayBand[], build: Pattern, bagging: Bagging): OpenBag[] {
  const found: { name: string; from: number; to: number }[] = [];
  for (const { stepId, from, to } of bands) {
    const step = build.steps.find(({ id }) => id === stepId);
    const name = step ? bagName(step, build, bagging) : null;
    const last = found.at(-1);
    if (name === null) continue;
    if (last?.name === name) last.to = to;
    else found.push({ name, from, to });
  }
  return found;
}

function bagName(step: Step, { parts }: Pattern, bagging: Bagging): string | null {
  if (bagging === 'stage') return STAGE_WORDS[step.stage];
  if (bagging !== 'part') return null;
  return parts.find(({ id }) => id === step.partIds[0])?.name ?? null;
}
