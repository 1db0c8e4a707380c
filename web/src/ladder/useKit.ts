import {
  KIT_DEFAULTS,
  type Ladder,
  type NeedleKit,
  needleKit,
  type Pattern,
  type Seat,
  type Skill,
} from '@lanakit/core';
import { useMemo } from 'react';
import { useNeedleEvidence, useTools } from '../api/resources.ts';

const NONE: readonly never[] = [];

/** For how many, and how steady they are. */
export interface KitWish {
  readonly people: number;
  readonly skill: Skill;
  readonly seatsPerTable?: number;
  readonly riskFraction?: number;
  /** Seats whose skill is not the others’. */
  readonly roster?: readonly Seat[];
}

/** Puts together the kit a build needs, with what the counts have taught and the holders of the shelf. */
export function useKitOf(wish: KitWish): (build: Pattern, ladder: Ladder) => NeedleKit {
  const {
    people,
    skill,
    seatsPerTable = KIT_DEFAULTS.seatsPerTable,
    riskFraction = KIT_DEFAULTS.riskFraction,
    roster = NONE,
  } = wish;
  const evidence = useNeedleEvidence().data?.items ?? NONE;
  const tools = useTools().data?.items ?? NONE;
  return useMemo(
    () => (build, ladder) => {
      const otherSkills = roster.flatMap((seat) => seat.skill ?? []);
      return needleKit(build, ladder, {
        people,
        skill,
        otherSkills,
        seatsPerTable,
        riskFraction,
        evidence,
        tools,
      });
    },
    [people, skill, roster, seatsPerTable, riskFraction, evidence, tools],
  );
}

export function useKit(build: Pattern, ladder: Ladder, wish: KitWish): NeedleKit {
  const kitOf = useKitOf(wish);
  return useMemo(() => kitOf(build, ladder), [kitOf, build, ladder]);
}
