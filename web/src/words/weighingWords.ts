import type { Weighing } from '@lanakit/core';
import { showWeighed } from './show.ts';

/** How a fibre is put on the scale. */
export function weighingWords(weighing: Weighing, scaleStepG: number): string {
  if (weighing.kind === 'single')
    return `weigh ${showWeighed(weighing.stepsPerPack * scaleStepG, scaleStepG)} for each`;
  const groups = weighing.groups.map(({ packs, steps }) => {
    const grams = showWeighed(steps * scaleStepG, scaleStepG);
    return `${grams} for ${packs} packs`;
  });
  const alike = groups.every((group) => group === groups[0]) && groups.length > 1;
  const what = alike ? `${groups.length} times ${groups[0] ?? ''}` : groups.join(', ');
  return `too little for this scale one by one: weigh ${what}, split by eye into equal parts`;
}
