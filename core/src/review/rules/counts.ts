import {
  countRange,
  type FindingUse,
  type Join,
  type Part,
  type Pattern,
  type Step,
} from '../../pattern/index.ts';
import type { ReviewContext } from '../context.ts';
import { NUMBER, numberBefore, readNumber } from '../numberBefore.ts';
import { rule, stepRule } from '../rule.ts';

const SIDES = /\b(?:left|right)(?![\s-]*(?:over|angle|through|away|size))(?:-hand)?\b/i;

/** Counts and pairs. */
export const COUNT_RULES = [
  stepRule(
    'sides_not_said',
    'counts',
    'stumble',
    ({ text }, _at, { pattern }) => pattern.sidesSeen === null && SIDES.test(text),
  ),
  rule('repeat_off', 'counts', 'stumble', ({ pattern }) =>
    pattern.steps.flatMap((step) => {
      const times = step.repeat?.times ?? null;
      const count = countOfOnly(step, pattern);
      // Once, or a divisor of it, is a way to work: two at a time.
      return times !== null && count !== null && times > 1 && times !== count && count % times !== 0
        ? [{ stepId: step.id, times, count }]
        : [];
    }),
  ),
  rule('count_in_words', 'counts', 'stumble', ({ pattern }) =>
    pattern.steps.flatMap((step) =>
      namedCounts(step, pattern).map((found) => ({ stepId: step.id, ...found })),
    ),
  ),
  rule('one_of_a_pair', 'counts', 'look', (context) => [
    ...context.pattern.parts.flatMap(({ id, name }) =>
      COMES_IN_PAIRS.test(name) && piecesCalled(name, context.pattern.parts) === 1
        ? [{ partId: id, name }]
        : [],
    ),
    ...lonelyEyes(context),
  ]),
  rule('pair_without_rule', 'counts', 'stumble', ({ pattern }) =>
    // Where nobody has placed anything yet, all of it is proposed.
    pattern.joins.every(({ placement }) => placement === null)
      ? []
      : pattern.joins.flatMap((join) =>
          join.placement === null && piecesOf(join, pattern) === 2 ? [{ joinId: join.id }] : [],
        ),
  ),
  rule('joins_off', 'counts', 'stumble', ({ pattern }) =>
    pattern.joins.flatMap((join) => {
      const [joins, count] = [exactly(join.count), piecesOf(join, pattern)];
      // A piece may be joined at both ends, and never at less than one.
      return joins === null || count === null || joins % count === 0
        ? []
        : [{ joinId: join.id, joins, count }];
    }),
  ),
  stepRule('sides_mixed', 'counts', 'stumble', ({ text }, _at, { pattern: { sidesSeen } }) =>
    sidesSeen === 'figure' ? VIEWERS_SIDE.test(text) : sidesSeen === 'viewer' && FIGURES_SIDE.test(text),
  ),
  stepRule(
    'same_side_mirrored',
    'counts',
    'look',
    ({ text, partIds }, _at, { pattern }) => isBothOnOneSide(text) && isMirroredOn(partIds, pattern),
  ),
  rule('holes_off', 'counts', 'stumble', ({ pattern, wool }) =>
    pattern.steps.flatMap(({ id: stepId, text }) =>
      pattern.findings.flatMap((use) => {
        const count = exactly(use.count);
        const name = wool.findings.get(use.findingId ?? '')?.name ?? '';
        const holes = holesFor(text, name);
        return count === null || holes === null || holes === count ? [] : [{ stepId, holes, name, count }];
      }),
    ),
  ),
  rule('curls_off', 'counts', 'stumble', ({ pattern }) =>
    pattern.cuts.flatMap((cut) => {
      if (cut.kind !== 'wire' || cut.endCurls === 0) return [];
      const ends = cut.segments.filter(({ name }) => FREE_END.test(name)).length;
      return ends < 2 || cut.endCurls % ends === 0 ? [] : [{ cutId: cut.id, curls: cut.endCurls, ends }];
    }),
  ),
];

/** What an animal has on both sides, by the head of its name: `Left ear`, not `ear lining`. */
const COMES_IN_PAIRS =
  /\b(?:ear|eye|arm|wing|paw|foot|hoof|antler|feeler|antenna|mandible|cheek|eyelid)\s*$/i;
const VIEWERS_SIDE =
  /\b(?:your|the viewer’s|the viewer's) (?:left|right)\b|\b(?:left|right) as you (?:look|see)/i;
const FIGURES_SIDE =
  /\b(?:its|his|her|the (?:figure|animal|bird|creature)(?:’s|'s)) (?:own )?(?:left|right)\b/i;
/** What is said of both in one breath. */
const OF_BOTH = /\bboth\b[^.;]*/gi;
/** Stretches of a wire that end in the open. */
const FREE_END = /\b(?:toe|claw|finger|antenna|feeler|horn)\b/i;

/** `Both lights upper right`; not `both wings, left and right`. */
const isBothOnOneSide = (text: string): boolean =>
  (text.match(OF_BOTH) ?? []).some((clause) => /\bleft\b/i.test(clause) !== /\bright\b/i.test(clause));

/** A count that is one number. */
function exactly(count: Part['count']): number | null {
  const range = countRange(count);
  return range && range.low === range.high ? range.low : null;
}

const piecesOf = ({ partId }: Pick<Join, 'partId'>, { parts }: Pattern): number | null =>
  exactly(parts.find(({ id }) => id === partId)?.count ?? null);

/** Of all parts with the last word of this name: a left and a right ear are two. */
function piecesCalled(name: string, parts: readonly Part[]): number | null {
  const last = (of: string) => of.trim().toLowerCase().split(/\s+/).at(-1);
  const counts = parts.filter((part) => last(part.name) === last(name)).map(({ count }) => exactly(count));
  return counts.some((count) => count === null)
    ? null
    : counts.reduce<number>((sum, count) => sum + (count ?? 0), 0);
}

/** One eye on a part: of what can be chosen among, one stays on. */
function lonelyEyes({ pattern, wool }: ReviewContext): { partId: string; name: string }[] {
  const chosen = new Set(
    pattern.steps.flatMap(({ act }) => (act.kind === 'choose' ? act.findingUseIds : [])),
  );
  const eyes = pattern.findings.filter((use) => isEye(use, wool) && !chosen.has(use.id));
  return eyes.flatMap((use) => {
    const { partId } = use;
    const onIt = eyes.filter((each) => each.partId === partId).map(({ count }) => exactly(count));
    const isLonely = partId !== null && onIt.length === 1 && onIt[0] === 1;
    return isLonely ? [{ partId, name: wool.findings.get(use.findingId ?? '')?.name ?? '' }] : [];
  });
}

const isEye = ({ findingId }: FindingUse, { findings }: ReviewContext['wool']): boolean => {
  const measure = findings.get(findingId ?? '')?.measure;
  return measure?.by === 'count' && measure.sort === 'eye';
};

/** Something of these parts, or set onto them, is placed as in a mirror. */
const isMirroredOn = (partIds: readonly string[], { parts, findings, joins }: Pattern): boolean =>
  [
    ...findings.filter(({ partId }) => partId !== null && partIds.includes(partId)),
    ...joins.filter(({ partId, ontoId }) => partIds.includes(partId) || partIds.includes(ontoId)),
    ...parts.filter(({ id }) => partIds.includes(id)).flatMap(({ uses }) => uses),
  ].some((thing) => 'placement' in thing && thing.placement?.rule === 'mirror');

/** `one hole for the eyes`; null: none is spoken of. */
function holesFor(text: string, name: string): number | null {
  const noun = name.match(/\p{L}{3,}/gu)?.map((word) => word.replace(/s$/i, '')) ?? [];
  if (noun.length === 0) return null;
  const found = new RegExp(
    `\\b(an?|one|${NUMBER})\\s+(?:\\w+\\s+)?holes?\\s+for\\s+(?:the|its|both|each)?\\s*(?:\\w+\\s+)?(?:${noun.join('|')})(s?)\\b`,
    'i',
  ).exec(text);
  if (!found?.[1]) return null;
  const holes = readNumber(found[1]);
  // “A hole for each eye”, “a hole for the eye”: as many as there are.
  return holes === 1 && found[2] === '' ? null : holes;
}

/** How many there are of the one part a step makes; null: of several, or nobody says. */
function countOfOnly({ act, partIds }: Step, { parts }: Pattern): number | null {
  if (act.kind !== 'make' || partIds.length !== 1) return null;
  const count = countRange(parts.find(({ id }) => id === partIds[0])?.count ?? null);
  return count && count.low === count.high && count.high > 1 ? count.high : null;
}

/** Making says all of a part: `Three legs` where there are four. Elsewhere some of them may be meant, and never more. */
function namedCounts(
  { act, text, partIds }: Step,
  { parts }: Pattern,
): { inWords: number; name: string; count: number }[] {
  return parts.flatMap(({ id, name, count }) => {
    const range = countRange(count);
    if (!partIds.includes(id) || !range || range.low !== range.high || name.trim() === '') return [];
    const inWords = numberBefore(text, name);
    if (inWords === null) return [];
    const isOff = act.kind === 'make' ? inWords !== range.high : inWords > range.high;
    return isOff ? [{ inWords, name, count: range.high }] : [];
  });
}
