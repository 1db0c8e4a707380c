import {
  defaultBuild,
  estimatePattern,
  type Ladder,
  ladderOf,
  type NeedleKit,
  type Pattern,
  type RunInput,
} from '@lanakit/core';
import { useMemo } from 'react';
import { useNeedles, useRevision, useWool } from '../api/resources.ts';
import { useKitOf } from '../ladder/useKit.ts';

export interface RunKit {
  readonly build: Pattern;
  readonly ladder: Ladder;
  readonly kit: NeedleKit;
}

/** The needles a class needs, from its revision and the shelf as it is; null until both are there. */
export function useRunKit(input: RunInput): {
  readonly own: RunKit | null;
  readonly error: Error | undefined;
} {
  const revision = useRevision(input.revisionId);
  const shelf = useWool();
  const needles = useNeedles();
  const kitOf = useKitOf({
    people: input.seats,
    skill: input.skill,
    seatsPerTable: input.seatsPerTable,
    riskFraction: input.needleRiskFraction,
    roster: input.roster,
  });
  const document = revision.data?.document;
  const items = needles.data?.items;
  const made = useMemo(() => {
    if (!document || !items || !shelf.isReady) return null;
    const build = defaultBuild(document);
    return { build, ladder: ladderOf(build, estimatePattern(build, shelf.wool), shelf.wool, items) };
  }, [document, items, shelf.isReady, shelf.wool]);
  const own = useMemo(() => made && { ...made, kit: kitOf(made.build, made.ladder) }, [made, kitOf]);
  return { own, error: revision.error ?? shelf.error ?? needles.error };
}
