import { type Deed, DEEDS } from './generatedStudio.ts';

/** Everything there is to do, twice over: once more on what the first left. */
export const everyDeed = (): Deed[] => [
  // The first run is packed.
  ...Array.from({ length: 3 }, (): Deed => ({ does: 'runOn', pick: 0, amount: 1, words: 'on' })),
  ...[1, 2].flatMap((round) =>
    Object.keys(DEEDS)
      .filter((does) => round === 1 || !does.endsWith('Gone'))
      .map((does, at) => ({ does, pick: round * 7 + at, amount: round + at / 8, words: `${does} ${round}` })),
  ),
];
