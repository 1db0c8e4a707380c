import { wholeUp } from '@lanakit/core/base';
import type { Weighing } from '@lanakit/core/run';
import { partingWords } from '@lanakit/core/words';
import { showWeighed } from './show.ts';

/** How a fibre is put on the scale. */
export function weighingWords(weighing: Weighing, scaleStepG: number): string {
  if (weighing.kind === 'single')
    return `weigh ${showWeighed(weighing.stepsPerPack * scaleStepG, scaleStepG)} for each`;
  const groups = weighing.groups.map(({ packs, steps, parting, errorFraction }) => {
    const grams = showWeighed(steps * scaleStepG, scaleStepG);
    const within = weighing.isByHand ? '' : ` (each within ${percent(errorFraction)})`;
    return `${grams} for ${packs} packs, ${partingWords(parting)}${within}`;
  });
  const alike = groups.every((group) => group === groups[0]) && groups.length > 1;
  const what = alike ? `${groups.length} times ${groups[0] ?? ''}` : groups.join('; ');
  return `too little for this scale one by one: weigh ${what}${weighing.isByHand ? '; too little even so: a wisp by hand is as good' : ''}`;
}

/** Whole per cent, rounded up: an error is not made smaller by showing it. */
export const percent = (fraction: number): string => `${wholeUp(fraction * 100)} %`;
