import { toMm } from '../../base/index.ts';
import { sizeLedger } from '../../engine/index.ts';
import { countRange, isWool, type Pattern, type Step } from '../../pattern/index.ts';
import { type SizeName, sizesOf, solidOf } from '../../shapes/index.ts';
import type { ReviewContext } from '../context.ts';
import { numberBefore } from '../numberBefore.ts';
import { type ReviewRule, rule } from '../rule.ts';
import { saidLengths } from '../saidLengths.ts';
import { tooFineIn } from '../tooFine.ts';
import { inStepWords } from '../wordsOf.ts';
import { warned } from '../warned.ts';

/** Words after a length that say which size it is. */
const WHICH: readonly (readonly [words: RegExp, names: readonly SizeName[]])[] = [
  [/^\s*(?:long|in length)\b/i, ['length', 'rise', 'line']],
  [/^\s*(?:high|tall)\b/i, ['height', 'length', 'rise']],
  [/^\s*(?:wide|across|in diameter|round the middle)\b/i, ['width', 'diameter', 'outer', 'thickEnd']],
  [/^\s*(?:thick|deep)\b/i, ['thickness', 'diameter', 'rope', 'height']],
];
/** Nearer than this is the same size: of a size, and mm. */
const NEAR_FRACTION = 0.12;
const NEAR_MM = 1;
/** Words that say when a size is so. */
const WHEN =
  /\b(?:roll\w*|felt\w*|firm\w*|finish\w*|before|after|until|till|loose\w*|squash\w*|press\w*|pack\w*|tight\w*|laid|lay|now|should be|measures)\b/i;
/** The size of wool as it is torn off or laid, in the same sentence: `a strip, 400 mm long`. */
const OF_WOOL =
  /\b(?:strip|piece|length|wisp|sliver|square|rectangle|layer|sheet|lock|tuft|tops|roving|wire|cord|thread|yarn)s?\b[^.;]*$/i;
/** What no kitchen scale shows, g. */
const FINEST_G = 0.1;
/** A sixteenth of an inch is the finest a ruler shows. */
const HALF_SIXTEENTH_MM = 0.8;

const isNear = (a: number, b: number): boolean => Math.abs(a - b) <= Math.max(NEAR_MM, b * NEAR_FRACTION);

/** Sizes and units. */
export const SIZE_RULES: readonly ReviewRule[] = [
  rule('size_in_words', 'sizes', 'stumble', (context) =>
    context.pattern.steps.flatMap((step) => sizesOff(step, context)),
  ),
  rule('finding_size_in_words', 'sizes', 'stumble', (context) =>
    context.pattern.steps.flatMap((step) => findingsOff(step, context)),
  ),
  rule('units_disagree', 'sizes', 'stumble', ({ pattern }) =>
    pattern.steps.flatMap(({ id, text }) => unequalPairs(text).map((inText) => ({ stepId: id, inText }))),
  ),
  rule('size_without_stage', 'sizes', 'look', ({ pattern }) =>
    pattern.steps.flatMap(({ id, text, act }) => {
      if (act.kind !== 'make' || WHEN.test(text)) return [];
      const inText = saidLengths(text).find(({ end }) => whichSize(text.slice(end)) !== null);
      return inText ? [{ stepId: id, inText: inText.words }] : [];
    }),
  ),
  rule('range_in_words', 'sizes', 'look', ({ pattern }) => {
    const ranged = pattern.parts.flatMap(({ id, name, count }) => {
      const range = countRange(count);
      return range && range.low !== range.high && name.trim() !== '' ? [{ id, name, range }] : [];
    });
    return pattern.steps.flatMap(({ id: stepId, text, partIds }) =>
      ranged.flatMap(({ id, name, range }) => {
        if (!partIds.includes(id)) return [];
        const inWords = numberBefore(text, name);
        return inWords === null ? [] : [{ stepId, inWords, name, low: range.low, high: range.high }];
      }),
    );
  }),
  rule('wire_under_stretch', 'sizes', 'stumble', ({ pattern }) =>
    pattern.cuts.flatMap((cut) =>
      cut.kind !== 'wire'
        ? []
        : cut.segments.flatMap(({ name, partId, length }, at) => {
            // With its ends a wire may go only some way into what it holds.
            const isEnd = cut.segments.length > 1 && (at === 0 || at === cut.segments.length - 1);
            const needMm = longestMm(partId, pattern);
            if (isEnd || length === null || needMm === null) return [];
            const saidMm = toMm(length);
            return saidMm < needMm * (1 - NEAR_FRACTION)
              ? [{ cutId: cut.id, stretch: name, saidMm, needMm }]
              : [];
          }),
    ),
  ),
  rule('grams_too_fine', 'sizes', 'look', ({ pattern }) =>
    pattern.parts.flatMap((part) =>
      part.uses.flatMap((use) =>
        isWool(use) &&
        use.amount?.form === 'grams' &&
        use.amount.massG !== null &&
        use.amount.massG < FINEST_G &&
        use.words.trim() === '' &&
        use.alsoSaid.length === 0
          ? [{ partId: part.id, useId: use.id, massG: use.amount.massG }]
          : [],
      ),
    ),
  ),
  rule('finer_than_felt', 'sizes', 'look', (context) => inStepWords(context, tooFineIn)),
  rule('exact_in_soft', 'sizes', 'look', ({ pattern }) =>
    pattern.parts.flatMap(({ id, firmness, exactness }) =>
      firmness === 'airy' && exactness.some(({ is }) => is === 'exact') ? [{ partId: id }] : [],
    ),
  ),
  warned('statements_differ', 'sizes', 'stumble'),
  warned('linear_differs', 'sizes', 'stumble'),
  warned('stated_off', 'sizes', 'look'),
  warned('inserts_overfull', 'sizes', 'stumble'),
  warned('trimmings_short', 'sizes', 'stumble'),
  warned('all_coat', 'sizes', 'look'),
];

const whichSize = (after: string): readonly SizeName[] | null =>
  WHICH.find(([words]) => words.test(after))?.[1] ?? null;

/** A size of the one part a step makes that it has at no stage of its making. */
function sizesOff({ id: stepId, text, partIds, act }: Step, { pattern, usual }: ReviewContext) {
  const part = partIds.length === 1 ? pattern.parts.find(({ id }) => id === partIds[0]) : undefined;
  if (!part || (act.kind !== 'make' && act.kind !== 'felt')) return [];
  const lengths = saidLengths(text);
  if (lengths.length === 0) return [];
  const estimate = usual.estimate.parts.find(({ partId }) => partId === part.id);
  const onItsWay = estimate
    ? sizeLedger(estimate).flatMap(({ sizesMm, tailMm }) => sizesMm.flatMap((mm) => [mm, mm - tailMm]))
    : [];
  const sizes = sizesOf(part.shape);
  return lengths.flatMap(({ words, mm, end }) => {
    const after = text.slice(end);
    if (OF_WOOL.test(text.slice(0, end))) return [];
    // “A 12 mm wide strip” is of the strip.
    const isOfIt =
      /^\s*(?:long|high|tall|wide|across|thick|deep|in length|in diameter)(?=\s*(?:[.,;:)]|and\b|$|when\b|now\b))/i.test(
        after,
      );
    const size = (whichSize(after) ?? []).map((name) => sizes.get(name)).find((each) => each != null);
    if (!isOfIt || size == null) return [];
    const isMm = toMm(size);
    return isNear(mm, isMm) || onItsWay.some((each) => isNear(mm, each))
      ? []
      : [{ stepId, inText: words, name: part.name, isMm }];
  });
}

/** “15 mm eyes” where those that are listed are of another size. */
function findingsOff({ id: stepId, text }: Step, { pattern, wool }: ReviewContext) {
  const listed = pattern.findings.flatMap(({ findingId }) => wool.findings.get(findingId ?? '') ?? []);
  return saidLengths(text).flatMap(({ words, mm, end }) => {
    const noun = /^\s+(?:\p{L}+\s+)?(eye|bead|bell|button|magnet|pin|ring)(?:s|es|\s+backs?)?\b/iu.exec(
      text.slice(end),
    )?.[1];
    if (noun === undefined) return [];
    const alike = listed.filter(({ name }) => new RegExp(`\\b${noun}`, 'i').test(name));
    const isIt = alike.some(({ name, measure }) =>
      [
        ...saidLengths(name).map((inText) => inText.mm),
        ...(measure.by === 'count' ? Object.values(measure.outerMm).flatMap((each) => each ?? []) : []),
      ].some((each) => Math.abs(each - mm) <= 0.5),
    );
    const [first] = alike;
    return first && !isIt ? [{ stepId, inText: `${words} ${noun}`, name: first.name }] : [];
  });
}

/** “2 mm (⅛ in)”: two lengths side by side that are to be one. */
function unequalPairs(text: string): string[] {
  const inText = saidLengths(text);
  return inText.flatMap((first, at) => {
    const other = inText[at + 1];
    if (!other || first.isInches === other.isInches) return [];
    const between = text.slice(first.end, other.end - other.words.length);
    if (!/^\s*(?:\(|\/|=|,\s*(?:or|that is)\s+)\s*$/i.test(between)) return [];
    const near = Math.max(HALF_SIXTEENTH_MM, first.mm * 0.1);
    return Math.abs(first.mm - other.mm) > near ? [`${first.words} = ${other.words}`] : [];
  });
}

/** How long what a wire runs through is; null: it has no size. */
function longestMm(partId: string | null, { parts }: Pattern): number | null {
  const shape = parts.find(({ id }) => id === partId)?.shape;
  const solid = shape && solidOf(shape);
  return solid?.kind === 'solid' ? Math.max(...solid.solid.sizesMm) : null;
}
