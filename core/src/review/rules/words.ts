import type { ActKind } from '../../pattern/index.ts';
import { usedBeforeExplained } from '../explained.ts';
import { rule, stepRule } from '../rule.ts';

/** More than hands full of wool remember. */
const MOST_WORDS = 60;
/** Acts that are done to a part. */
const ON_PARTS: ReadonlySet<ActKind> = new Set<ActKind>(['make', 'felt', 'join', 'wrap', 'tack']);
/** More than this in one step is told as several. */
const MOST_ACTS = 3;
/** Things hands do one after another: each takes them to another tool or another place. */
const ACTS = [
  /\b(?:roll|tear|fold) /i,
  /\b(?:wrap|cover) /i,
  /\b(?:sew|stitch) /i,
  /\bglue /i,
  /\b(?:cut|snip|trim) /i,
  /\b(?:bend|twist) /i,
  /\b(?:set|join|attach) (?:it|them|the|both|each)\b/i,
];
const POINTS = /^\s*(?:repeat|as before|as above|same again|do the same|likewise)\b/i;
const PROMISED =
  /\b(?:shown (?:below|above|here)|see (?:the )?(?:picture|photo|drawing)|as in the (?:picture|photo|drawing))\b/i;

const wordsIn = (text: string): number => text.split(/\s+/).filter((word) => /\p{L}/u.test(word)).length;

/** What is written. */
export const WORD_RULES = [
  rule('title_blank', 'words', 'stumble', ({ pattern }) => (pattern.title.trim() === '' ? [{}] : [])),
  stepRule('step_empty', 'words', 'stumble', ({ text }) => text.trim() === ''),
  rule('step_too_long', 'words', 'look', ({ pattern }) =>
    pattern.steps.flatMap(({ id, text }) => {
      const words = wordsIn(text);
      return words > MOST_WORDS ? [{ stepId: id, words }] : [];
    }),
  ),
  rule('many_acts', 'words', 'look', ({ pattern }) =>
    pattern.steps.flatMap(({ id, text }) => {
      const acts = ACTS.filter((act) => act.test(text)).length;
      return acts > MOST_ACTS ? [{ stepId: id, acts }] : [];
    }),
  ),
  stepRule(
    'step_without_parts',
    'words',
    'stumble',
    ({ act, partIds, joinIds }, _at, { pattern }) =>
      ON_PARTS.has(act.kind) && partIds.length === 0 && joinIds.length === 0 && pattern.parts.length > 0,
  ),
  stepRule(
    'points_at_nothing',
    'words',
    'stumble',
    ({ text, partIds }, at) => POINTS.test(text) && (at === 0 || partIds.length === 0),
  ),
  stepRule(
    'picture_promised',
    'words',
    'stumble',
    ({ id, text, pictures }, _at, { pattern }) =>
      PROMISED.test(text) && pictures.length === 0 && !pattern.drawnStepIds.includes(id),
  ),
  rule('term_before_explained', 'words', 'look', ({ pattern }) => usedBeforeExplained(pattern)),
  rule('part_unnamed', 'words', 'stumble', ({ pattern }) =>
    pattern.parts.flatMap(({ id, name }) => (name.trim() === '' ? [{ partId: id }] : [])),
  ),
  rule('names_alike', 'words', 'look', ({ pattern }) =>
    pattern.parts.flatMap(({ id, name }, at) => {
      const other = pattern.parts
        .slice(0, at)
        .find(
          (before) => name.trim() !== '' && before.name.trim().toLowerCase() === name.trim().toLowerCase(),
        );
      return other ? [{ partId: id, otherId: other.id }] : [];
    }),
  ),
];
