import { type StepWool, type StillInBag, type ThingStill, WISP_G } from '../reading/index.ts';
import { findingAmount, showGrams, showRange } from './amounts.ts';
import { joinWords, piecesLine } from './cutWords.ts';

type FibreName = (fibreId: string) => string;

/** What should still be in the bag: `about 2.4 g Moss, 1.1–1.4 g Slate only if needed and 2 × Bead eye 4 mm`. */
export const stillWords = (
  still: readonly StillInBag[],
  things: readonly ThingStill[],
  { fibreName, findingName }: { readonly fibreName: FibreName; readonly findingName: FibreName },
): string =>
  joinWords([
    ...still.map(({ fibreId, leastG, mostG, ifNeededG, isUnknown }) => {
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
    ...things.map((thing) => thingStillWords(thing, findingName(thing.findingId))),
  ]);

/** `2 × Bead eye 4 mm`, `Steel wire: 1 × 31 cm`, `some Limpet shell, how many is not known`. */
function thingStillWords({ amount, unit, pieces }: ThingStill, name: string): string {
  if (pieces.length > 0) return `${name}: ${piecesLine(pieces)}`;
  if (amount === null) return `some ${name}, how many is not known`;
  const [low, high] = [findingAmount(amount.low, unit), findingAmount(amount.high, unit)];
  const words = low === high ? high : `${low}–${high}`;
  return unit === 'piece' ? `${words} × ${name}` : `${words} of ${name}`;
}

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
