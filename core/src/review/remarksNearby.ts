import { type ReviewContext, reviewContext } from './context.ts';
import type { Remark } from './remark.ts';
import { IN_EVERY_BUILD } from './rules/index.ts';

/**
 * What a reader would stumble over in the build of one other choice, and not in what is written as a whole: a part whose
 * only making belongs to what is left out, words that speak of it still. Each is told once, in the first build that has it.
 * What only several choices together bring about is not looked for: those builds may be thousands.
 */
export function remarksNearby({ nearby, wool }: ReviewContext, written: readonly Remark[]): Remark[] {
  const told = new Set(written.map(keyOf));
  return nearby.flatMap(({ optionId, valueId, build }) => {
    const context = reviewContext({ ...build, ...CHOSEN }, wool);
    return IN_EVERY_BUILD.flatMap(({ find }) => find(context)).flatMap((remark) => {
      const key = keyOf(remark);
      if (told.has(key)) return [];
      told.add(key);
      return [{ ...remark, inBuild: { optionId, valueId } }];
    });
  });
}

const keyOf = (remark: Remark): string => JSON.stringify(remark);

/** A build leaves nothing to choose. */
const CHOSEN = { options: [], limits: [], slots: [], colourways: [], swaps: [] };
