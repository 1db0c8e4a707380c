import { needleOf, type Pattern, type Step } from '../pattern/index.ts';

/** Wool in pieces that only a needle holds. */
const STRAND = String.raw`(?:stripe|wisp|strand|sliver|line|band|lock|tuft)s?`;
const LAID = new RegExp(`\\b(?:lay|laying|place|put|drape|wind|run)\\b[^.;]*\\b${STRAND}\\b`, 'i');
const LEFT_OPEN = new RegExp(
  `\\b(?:leave|leaving|keep|keeping)\\b[^.;]*\\b(?:stripe|wisp|strand|line|band|seam|edge|ring|loop|slit)s?\\b[^.;]*\\b(?:open|unfinished|undone|for now)\\b`,
  'i',
);
const FASTENED =
  /\b(?:felt|needle|stab|poke|tack|fix|fasten|join|secure|catch|blend|sew|stitch|glue|work(?:ed)? in|press it in)\w*\b/i;
const CLOSED =
  /\b(?:clos|finish|shut|sew|stitch|join|felt (?:it|them|over)|fill|stuff|complete|meet|end)\w*\b/i;

/** A wisp that is laid on with no needle, and that nobody felts down afterwards. */
export const isNeverFeltedDown = (step: Step, at: number, pattern: Pattern): boolean =>
  LAID.test(step.text) &&
  !isFastening(step, pattern) &&
  !later(step, at, pattern).some((each) => isFastening(each, pattern));

/** A stripe, a seam, a ring that is left open, and that nobody closes. */
export const isNeverClosed = (step: Step, at: number, pattern: Pattern): boolean => {
  const found = LEFT_OPEN.exec(step.text);
  if (!found) return false;
  const after = step.text.slice(found.index + found[0].length);
  return !CLOSED.test(after) && !later(step, at, pattern).some(({ text }) => CLOSED.test(text));
};

const isFastening = (step: Step, pattern: Pattern): boolean =>
  FASTENED.test(step.text) || needleOf(step, pattern) !== null;

/** Steps after this one on what it is about. */
const later = ({ partIds }: Step, at: number, { steps }: Pattern): readonly Step[] =>
  steps.slice(at + 1).filter((each) => each.partIds.some((id) => partIds.includes(id)));
