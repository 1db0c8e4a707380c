import type { Designs, PackGroup } from './packGroups.ts';

/** The patterns that the packs of a run are of, by their revision, each once. */
export const designsOfPacks = (groups: readonly PackGroup[]): Designs =>
  new Map(
    groups.flatMap(({ makes }) => makes.map(({ revisionId, pattern }) => [revisionId, pattern] as const)),
  );
