import {
  type FindingUse,
  type Pattern,
  type Stage,
  stepOfCut,
  stepOfFinding,
  type Use,
} from '../../pattern/index.ts';
import { stageOfWool, stepOfWool } from '../../writing/index.ts';
import { defaultBuild } from '../../build/index.ts';
import { buildsNearby, type NearbyBuild } from '../buildsNearby.ts';
import type { ReviewContext } from '../context.ts';
import { rule } from '../rule.ts';

/** Used and listed, both ways. Of a pattern without steps nothing is used: it says so. */
export const LISTED_RULES = [
  rule('finding_never_put_on', 'listed', 'stumble', ({ pattern, wool }) =>
    pattern.findings.flatMap((use) =>
      stepOfFinding(pattern, use) === null && !isNamed(pattern, nameOfFinding(use, wool))
        ? [{ findingUseId: use.id }]
        : [],
    ),
  ),
  rule('finding_unsaid_in_build', 'listed', 'look', ({ pattern, wool }) =>
    findingsOfChoices(pattern).flatMap(({ use, optionId, valueId, build }) => {
      const name = nameOfFinding(use, wool);
      return isSaid(build, use, name) ? [] : [{ findingUseId: use.id, name, optionId, valueId }];
    }),
  ),
  rule('cut_never_used', 'listed', 'stumble', ({ pattern }) =>
    pattern.cuts.flatMap((cut) =>
      stepOfCut(pattern, cut) === null && !isNamed(pattern, cut.name) ? [{ cutId: cut.id }] : [],
    ),
  ),
  rule('coat_never_laid', 'listed', 'stumble', (context) =>
    usesWithoutStep(context, (use) => use.role === 'coat').map((found) => ({ ...found })),
  ),
  rule('detail_never_worked', 'listed', 'stumble', (context) =>
    usesWithoutStep(context, (use) => DETAILS.has(use.role)).map((found) => ({ ...found })),
  ),
  rule('tool_not_listed', 'listed', 'stumble', ({ needs }) =>
    needs.usedNotListed.map(({ key, what }) => ({ needKey: key, what })),
  ),
  rule('tool_not_used', 'listed', 'look', ({ needs }) =>
    needs.listedNotUsed.map(({ key, what }) => ({ needKey: key, what })),
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
  { pattern }: ReviewContext,
  isIt: (use: Use) => boolean,
): { partId: string; useId: string }[] {
  return pattern.parts.flatMap((part) =>
    part.uses.flatMap((use) => {
      if (!isIt(use) || ('isIfNeeded' in use && use.isIfNeeded)) return [];
      const place = { owner: { kind: 'part', id: part.id }, role: use.role } as Parameters<
        typeof stepOfWool
      >[1];
      const at = stepOfWool(pattern, place);
      // A part that nobody makes is told as that.
      if (at === null) return [];
      const late = AFTER[stageOfWool(pattern, place)] ?? null;
      const isWorked =
        late === null ||
        pattern.steps.some(({ partIds, stage }) => partIds.includes(part.id) && late.includes(stage));
      return isWorked ? [] : [{ partId: part.id, useId: use.id }];
    }),
  );
}

/** What only a choice brings in, in the build of that choice. */
function findingsOfChoices(pattern: Pattern): (NearbyBuild & { readonly use: FindingUse })[] {
  const usual = new Set(defaultBuild(pattern).findings.map(({ id }) => id));
  return buildsNearby(pattern).flatMap((nearby) =>
    nearby.build.findings.filter(({ id }) => !usual.has(id)).map((use) => ({ ...nearby, use })),
  );
}

const nameOfFinding = ({ findingId }: FindingUse, { findings }: ReviewContext['wool']): string =>
  findings.get(findingId ?? '')?.name ?? '';

/** A step speaks of it by the first word of its name. */
function isNamed({ steps }: Pattern, name: string): boolean {
  const [word = ''] = name.toLowerCase().split(/[\s,]+/);
  return word.length > 2 && steps.some(({ text }) => text.toLowerCase().includes(word));
}

/** A step lets it be chosen, or speaks of it by a word of its name: an eye, two eyes; not “bring” for a ring. */
function isSaid({ steps }: Pattern, { id }: FindingUse, name: string): boolean {
  const words = name
    .toLowerCase()
    .split(/[^\p{L}]+/u)
    .filter((word) => word.length > 2);
  const spoken = new RegExp(`(?<!\\p{L})(?:${words.join('|')})(?:s|es)?(?!\\p{L})`, 'iu');
  return (
    words.length === 0 ||
    steps.some(
      ({ act, text }) => spoken.test(text) || (act.kind === 'choose' && act.findingUseIds.includes(id)),
    )
  );
}
