import {
  type FindingUse,
  type Pattern,
  type Stage,
  stepOfCut,
  stepOfFinding,
  type Use,
} from '../../pattern/index.ts';
import { defaultBuild } from '../../build/index.ts';
import { stageOfWool, stepOfWool } from '../../writing/index.ts';
import type { NearbyBuild } from '../buildsNearby.ts';
import type { ReviewContext } from '../context.ts';
import { partsMissing } from '../partsInWords.ts';
import { otherPictures } from '../otherPictures.ts';
import { inSessionWords, inStepWords } from '../wordsOf.ts';
import { woolMissing } from '../woolInWords.ts';
import { rule } from '../rule.ts';

/** Used and listed, both ways. Of a pattern without steps nothing is used: it says so. */
export const LISTED_RULES = [
  rule('finding_never_put_on', 'listed', 'stumble', ({ pattern, wool }) =>
    pattern.findings.flatMap((use) =>
      stepOfFinding(pattern, use) === null && !isSpokenOf(pattern, nameOfFinding(use, wool))
        ? [{ findingUseId: use.id }]
        : [],
    ),
  ),
  rule('finding_unsaid_in_build', 'listed', 'look', ({ pattern, nearby, wool }) =>
    findingsOfChoices(pattern, nearby).flatMap(({ use, optionId, valueId, build }) => {
      const name = nameOfFinding(use, wool);
      // Without a name to speak of nobody can tell.
      return wordsOf(name).length === 0 || isChosen(build, use) || isSpokenOf(build, name)
        ? []
        : [{ findingUseId: use.id, name, optionId, valueId }];
    }),
  ),
  rule('cut_never_used', 'listed', 'stumble', ({ pattern }) =>
    pattern.cuts.flatMap((cut) =>
      stepOfCut(pattern, cut) === null && !isSpokenOf(pattern, cut.name) ? [{ cutId: cut.id }] : [],
    ),
  ),
  rule('coat_never_laid', 'listed', 'stumble', (context) =>
    usesWithoutStep(context, (use) => use.role === 'coat'),
  ),
  rule('detail_never_worked', 'listed', 'stumble', (context) =>
    usesWithoutStep(context, (use) => DETAILS.has(use.role)),
  ),
  rule('tool_not_listed', 'listed', 'stumble', ({ needs }) =>
    needs.usedNotListed.map(({ key, what }) => ({ needKey: key, what })),
  ),
  rule('tool_not_used', 'listed', 'look', ({ needs }) =>
    needs.listedNotUsed.map(({ key, what }) => ({ needKey: key, what })),
  ),
  rule('wool_not_in_build', 'listed', 'stumble', (context) => inStepWords(context, woolMissing(context))),
  rule('part_not_in_build', 'listed', 'stumble', (context) => inStepWords(context, partsMissing(context))),
  rule('session_wool_not_in_build', 'listed', 'stumble', (context) =>
    inSessionWords(context, woolMissing(context)),
  ),
  rule('session_part_not_in_build', 'listed', 'stumble', (context) =>
    inSessionWords(context, partsMissing(context)),
  ),
  rule('picture_never_shown', 'listed', 'look', ({ pattern }) => {
    const shown = new Set(
      pattern.steps.flatMap(({ pictures }) => pictures.map(({ pictureId }) => pictureId)),
    );
    return pattern.pictures.flatMap(({ id }) => (shown.has(id) ? [] : [{ pictureId: id }]));
  }),
  rule('picture_without_words', 'listed', 'stumble', ({ pattern }) =>
    pattern.pictures.flatMap(({ id, alt }) => (alt.trim() === '' ? [{ pictureId: id }] : [])),
  ),
  rule('picture_of_other_build', 'listed', 'stumble', otherPictures),
];

const DETAILS: ReadonlySet<Use['role']> = new Set<Use['role']>(['patch', 'line', 'dot', 'hair']);
/** Later than this a layer may be worked in. */
const AFTER: Readonly<Partial<Record<Stage, readonly Stage[]>>> = {
  coat: ['coat', 'join', 'detail', 'hair', 'mount', 'finish'],
  detail: ['coat', 'join', 'detail', 'hair', 'mount', 'finish'],
  hair: ['hair', 'detail', 'mount', 'finish'],
};

/** Layers of a kind for which no step on their part comes late enough. */
function usesWithoutStep(
  { pattern, stepsOn }: ReviewContext,
  isIt: (use: Use) => boolean,
): { partId: string; useId: string }[] {
  return pattern.parts.flatMap((part) => {
    const steps = [...(stepsOn.get(part.id) ?? [])];
    return part.uses.flatMap((use) => {
      if (!isIt(use) || ('isIfNeeded' in use && use.isIfNeeded)) return [];
      const place = { owner: { kind: 'part', id: part.id }, role: use.role } as Parameters<
        typeof stepOfWool
      >[1];
      const at = stepOfWool({ ...pattern, steps }, place);
      // A part that nobody makes is told as that.
      if (at === null) return [];
      const late = AFTER[stageOfWool(pattern, place)] ?? null;
      const isWorked = late === null || steps.some(({ stage }) => late.includes(stage));
      return isWorked ? [] : [{ partId: part.id, useId: use.id }];
    });
  });
}

/** What only a choice brings in, in the build of that choice. */
function findingsOfChoices(
  pattern: Pattern,
  nearbyBuilds: readonly NearbyBuild[],
): (NearbyBuild & { readonly use: FindingUse })[] {
  const usual = new Set(defaultBuild(pattern).findings.map(({ id }) => id));
  return nearbyBuilds.flatMap((nearby) =>
    nearby.build.findings.filter(({ id }) => !usual.has(id)).map((use) => ({ ...nearby, use })),
  );
}

const nameOfFinding = ({ findingId }: FindingUse, { findings }: ReviewContext['wool']): string =>
  findings.get(findingId ?? '')?.name ?? '';

/** A step lets it be chosen among others. */
const isChosen = ({ steps }: Pattern, { id }: FindingUse): boolean =>
  steps.some(({ act }) => act.kind === 'choose' && act.findingUseIds.includes(id));

/** What of a name is a word: no sizes, and nothing too short to be told apart. */
const wordsOf = (name: string): string[] => name.split(/[^\p{L}]+/u).filter((word) => word.length > 2);

/** A step speaks of it by a word of its name: an eye, two eyes; not “bring” for a ring. */
function isSpokenOf({ steps }: Pattern, name: string): boolean {
  const words = wordsOf(name);
  if (words.length === 0) return false;
  const spoken = new RegExp(`(?<!\\p{L})(?:${words.join('|')})(?:s|es)?(?!\\p{L})`, 'iu');
  return steps.some(({ text }) => spoken.test(text));
}
