import { type ReviewContext, reviewContext } from './context.ts';
import type { Pattern } from '../pattern/index.ts';
import type { Remark } from './remark.ts';
import { IN_EVERY_BUILD, IN_EVERY_FIGURE } from './rules/index.ts';
import { figureStamp } from './usualFigure.ts';

/**
 * What a reader would stumble over in the build of one other choice, and not in what is written as a whole: a part whose
 * only making belongs to what is left out, words that speak of it still, a figure that falls over without what is left out.
 * Each is told once, in the first build that has it.
 * What only several choices together bring about is not looked for: those builds may be thousands.
 */
export function remarksNearby(context: ReviewContext, written: readonly Remark[]): Remark[] {
  const told = new Set(written.map(keyOf));
  const usualStamp = figureStamp(context.usual.build);
  return context.nearby.flatMap(({ optionId, valueId, build }) => {
    const nearby = reviewContext({ ...build, ...CHOSEN }, context.wool);
    const found = [
      ...IN_EVERY_BUILD.flatMap(({ find }) => find(nearby)),
      ...remarksOnFigure(nearby, usualStamp),
    ];
    return found.flatMap((remark) => {
      const key = keyOf(remark);
      if (told.has(key)) return [];
      told.add(key);
      return [{ ...remark, inBuild: { optionId, valueId } }];
    });
  });
}

/** What was found of figures put together, by all they follow from: as somebody writes they stay as they are. */
const known = new Map<string, readonly Remark[]>();
/** Of two patterns at once with as many builds nearby as are asked. */
const MOST_KNOWN = 96;
let knownOn: ReviewContext['wool'] | null = null;

function remarksOnFigure(context: ReviewContext, usualStamp: string): readonly Remark[] {
  if (!isFigureAsked(context.pattern)) return [];
  const { enclosures, proportions } = context.pattern;
  const stamp = figureStamp(context.pattern);
  // Only colours or words are otherwise: what is so of the usual figure is told already.
  if (stamp === usualStamp) return [];
  if (knownOn !== context.wool || known.size >= MOST_KNOWN) known.clear();
  knownOn = context.wool;
  const of = JSON.stringify([stamp, enclosures, proportions]);
  const before = known.get(of);
  if (before) return before;
  const found = IN_EVERY_FIGURE.flatMap(({ find }) => find(context));
  known.set(of, found);
  return found;
}

/** Whether anybody has said how it stands, what it goes into, or where anything sits: of what is only proposed no rule says a word. */
const isFigureAsked = ({ stance, enclosures, proportions, findings, parts }: Pattern): boolean =>
  stance !== null ||
  enclosures.length + proportions.length > 0 ||
  findings.some(({ placement }) => placement !== null) ||
  parts.some(({ uses }) => uses.some((use) => 'placement' in use && use.placement !== null));

const keyOf = (remark: Remark): string => JSON.stringify(remark);

/** A build leaves nothing to choose. */
const CHOSEN = { options: [], limits: [], slots: [], colourways: [], swaps: [] };
