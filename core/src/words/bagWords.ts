import { WISP_G, type StillInBag, type StepWool } from '../reading/index.ts';
import { showGrams, showRange } from './amounts.ts';
import { joinWords } from './cutWords.ts';

type FibreName = (fibreId: string) => string;

/** What should still be in the bag: `about 2.4 g Moss, 1.1–1.4 g Slate only if needed`. */
export const stillWords = (still: readonly StillInBag[], fibreName: FibreName): string =>
  joinWords(
    still.map(({ fibreId, leastG, mostG, ifNeededG, isUnknown }) => {
      if (isUnknown) return `some ${fibreName(fibreId)}, how much is not known`;
      const near = showGrams(leastG) === showGrams(mostG);
      const grams = near
        ? `about ${showGrams(mostG)}`
        : `about ${showRange({ lowG: leastG, likelyG: mostG, highG: mostG })}`;
      const apart =
        ifNeededG <= 0
          ? ''
          : ifNeededG >= mostG - WISP_G
            ? ' (only if needed)'
            : ` (${showGrams(ifNeededG)} of it only if needed)`;
      return `${grams} ${fibreName(fibreId)}${apart}`;
    }),
  );

/** Wool that a step must leave: `Keep about 1.2 g Slate for step 9.` */
export const keepsWords = ({ keeps }: StepWool, fibreName: FibreName): string[] =>
  keeps.map(
    ({ fibreId, massG, isAtLeast, forStep }) =>
      `Keep ${keptAmount(massG, isAtLeast)} ${fibreName(fibreId)} back for step ${forStep}.`,
  );

function keptAmount(massG: number, isAtLeast: boolean): string {
  if (isAtLeast) return massG < WISP_G ? 'some' : `at least ${showGrams(massG)}`;
  return massG < WISP_G ? 'a wisp of' : `about ${showGrams(massG)}`;
}

/** Wool that an earlier step left. */
export const keptWords = ({ kept }: StepWool, fibreName: FibreName): string[] =>
  kept.map(({ fibreId, inStep }) => `${fibreName(fibreId)}: what you kept back in step ${inStep}.`);
