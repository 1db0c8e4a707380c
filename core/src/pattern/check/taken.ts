import type { Swap, Taken } from '../document/option.ts';
import type { Pattern } from '../document/pattern.ts';
import type { PatternProblem } from '../document/problem.ts';
import { isWool } from '../document/use.ts';

/** What may be taken for a place: wool for wool, things for things, and each for the other where it can sit there. */
export function takenKinds(of: Swap['of'], { parts }: Pick<Pattern, 'parts'>): readonly Taken['kind'][] {
  switch (of.kind) {
    case 'join':
      return ['fibre'];
    case 'cut':
      return ['finding'];
    case 'finding':
      return ['finding', 'dots'];
    case 'use': {
      const use = parts.flatMap(({ uses }) => uses).find(({ id }) => id === of.id);
      return use && !isWool(use) ? ['finding'] : ['fibre', 'finding'];
    }
  }
}

/** What keeps a swap from being taken: nothing chosen, or too little said of it. */
export function openSwaps(pattern: Pick<Pattern, 'parts' | 'swaps'>): PatternProblem[] {
  return pattern.swaps.flatMap(({ of, to }, index): PatternProblem[] => {
    const pointer = `/swaps/${index}/to`;
    const isChosen = (to.kind === 'finding' ? to.findingId : to.fibreId) !== null;
    if (!isChosen || !takenKinds(of, pattern).includes(to.kind)) return [{ code: 'swap_open', pointer }];
    const isUnsaid = to.kind === 'dots' && to.diameter === null && to.eachG === null;
    return isUnsaid ? [{ code: 'sizes_missing', pointer, missing: ['diameter'] }] : [];
  });
}
