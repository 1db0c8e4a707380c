import { KIT_DEFAULTS, type Ladder, type NeedleKit, needleKit, type Skill } from '@lanakit/core/needles';
import type { Pattern } from '@lanakit/core/pattern';
import { useMemo } from 'react';
import { useNeedleEvidence, useTools } from '../../api/queries.ts';

const NONE: readonly never[] = [];

/** For how many, and how steady they are. */
export interface KitWish {
  readonly people: number;
  readonly skill: Skill;
}

/** The kit that so many need who all make one build, with what the counts have taught and the holders of the shelf. */
export function useKit(build: Pattern, ladder: Ladder, { people, skill }: KitWish): NeedleKit {
  const evidence = useNeedleEvidence().data?.items ?? NONE;
  const tools = useTools().data?.items ?? NONE;
  return useMemo(() => {
    const skills = Array.from({ length: people }, () => skill);
    return needleKit([{ build, ladder, skills }], { ...KIT_DEFAULTS, evidence, tools });
  }, [build, ladder, people, skill, evidence, tools]);
}
