import { percentOf } from '@lanakit/core/base';
import type { FibrePortion, RunInput } from '@lanakit/core/run';
import type { CameLine } from './howItCame.ts';
import { showGrams, showWeighed } from './show.ts';
import { weighingWords } from './weighingWords.ts';

/** From the likely amount of one make to what goes on the scale. */
export function portionCame(portion: FibrePortion, input: RunInput, packs: number): CameLine[] {
  return [
    { what: 'Likely in one make', value: showGrams(portion.likelyG), note: 'calculated from the pattern' },
    {
      what: 'With the extra',
      value: showGrams(portion.exactG),
      note:
        input.wantedChance === null
          ? `${percentOf(portion.extraFraction)} % more, so that nobody runs short`
          : `${Math.round(percentOf(portion.extraFraction))} % more of this fibre: its share of ${percentOf(input.wantedChance)} % that nobody is short of anything`,
    },
    {
      what: 'On the scale',
      value: portion.packG === null ? 'together' : showWeighed(portion.packG, input.scaleStepG),
      note:
        portion.packG === null
          ? weighingWords(portion.weighing, input.scaleStepG)
          : `rounded up to ${input.scaleStepG} g`,
    },
    {
      what: `${packs} packs`,
      value: showWeighed(portion.classG, input.scaleStepG),
      note: input.kind === 'kits' ? 'boxes and spare ones' : 'seats and what is spare or shown',
      isResult: true,
    },
    {
      what: 'Free on the shelf',
      value: portion.freeG === null ? 'not counted' : showGrams(portion.freeG),
      note:
        portion.stock.onHandG === null
          ? 'weigh what is there and enter it on the shelf'
          : `${showGrams(portion.stock.onHandG)} on hand less ${showGrams(portion.stock.promisedG)} for runs before this one`,
    },
  ];
}
