import { isNamed } from './isNamed.ts';
import type { Pattern } from '../pattern/index.ts';
import type { ReviewContext } from './context.ts';
import { isPartThere, partsMissing } from './partsInWords.ts';
import { sessionAt } from './place.ts';
import { remembered } from './remembered.ts';

/** For a day that is not today. */
const ANOTHER_DAY =
  /\b(?:next (?:time|session|week|lesson|evening|day|month)|(?:in|on|at) the (?:next|second|third|last) (?:session|day|evening|part)|(?:session|day|evening) (?:two|three|four|[2-9])|tomorrow|another (?:time|day|session))\b/i;
/** What is promised is going to be made or set on: `the wings follow next time`. */
const COMES =
  /\b(?:comes?|follows?|(?:are|is|be|get|gets) (?:made|added|set|joined|sewn|put|felted|laid)|make|add|we do)\b/i;
const WORDS = /\p{L}{3,}/gu;

/** What words promise for another session, and no step of a later one works on. @param fromAt the step they stand in */
export function promisedAbsent(text: string, fromAt: number, context: ReviewContext): string[] {
  const { pattern } = context;
  const promises = promisesIn(text);
  if (promises.length === 0) return [];
  const isThere = isPartThere(context);
  const isToCome = (partId: string) => isWorkedLater(partId, fromAt, pattern);
  const absent = promises.flatMap((promise) => {
    const named = pattern.parts.filter(({ name }) => isNamed(promise, name));
    // Of a part that sits on what is there already, one of the two has still to come.
    if (named.length > 0) return named.some(({ id }) => isToCome(id)) ? [] : [named[0]?.name ?? ''];
    // With its article it is missed by itself.
    const missed = partsMissing(context)(promise).map((word) => word.toLowerCase());
    return (promise.match(WORDS) ?? []).filter(
      (word) => isThere(word) === false && !missed.some((each) => word.toLowerCase().startsWith(each)),
    );
  });
  return [...new Set(absent)];
}

const promisesIn = remembered((text: string): readonly string[] =>
  ANOTHER_DAY.test(text)
    ? text.split(/(?<=[.;!?])\s+/).filter((each) => ANOTHER_DAY.test(each) && COMES.test(each))
    : [],
);

/** In a later session, or, where there are none, in a later step. */
const isWorkedLater = (partId: string, fromAt: number, pattern: Pattern): boolean =>
  pattern.steps.some(
    ({ partIds }, at) =>
      at > fromAt &&
      partIds.includes(partId) &&
      (pattern.sessions.length < 2 || sessionAt(pattern, at) !== sessionAt(pattern, fromAt)),
  );
