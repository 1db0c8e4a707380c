import type { Pattern } from '../pattern/index.ts';
import { remembered } from './remembered.ts';

const TERM = String.raw`(\p{L}[\p{L}-]{3,})`;
/** Sentences that explain a word: `Skimming means …`, `this is called tacking`, `To tack is to …`, `“wisp”: a few fibres`. */
const EXPLAINED: readonly RegExp[] = [
  new RegExp(`(?:^|[.;:!?]\\s+)(?:an? |the |to )?[“"']?${TERM}[”"']? means\\b`, 'giu'),
  new RegExp(`(?:^|[.;:!?]\\s+)to ${TERM} is to\\b`, 'giu'),
  new RegExp(`\\b(?:is|are|we) (?:called|call (?:it|this|that)) (?:an? |the )?[“"']?${TERM}[”"']?`, 'giu'),
  new RegExp(`\\bby [“"']?${TERM}[”"']? (?:is meant|we mean|I mean)\\b`, 'giu'),
  new RegExp(`[“"']${TERM}[”"']\\s*(?::|=|,? that is\\b)`, 'giu'),
];
/** Words that point, and what everybody knows who holds a needle: no terms. */
const NO_TERMS = new Set(
  'this that these those what which there here felting rolling wrapping sewing cutting gluing joining making'.split(
    ' ',
  ),
);

/** The terms a text explains, in small letters. */
const explainedIn = remembered((text: string): readonly string[] =>
  EXPLAINED.flatMap((sentence) => [...text.matchAll(sentence)])
    .map(([, term = '']) => term.toLowerCase())
    .filter((term) => !NO_TERMS.has(term)),
);

/** A word that a step uses, and that a later one explains. */
interface UsedBefore {
  readonly stepId: string;
  readonly inText: string;
  readonly explainedId: string;
}

/** Terms used before they are explained: by a later step, or by the technique that is called so. */
export function usedBeforeExplained(pattern: Pattern): UsedBefore[] {
  const explanations = [...bySteps(pattern), ...byTechniques(pattern)];
  return explanations.flatMap(({ term, at, explainedId }) => {
    const spoken = wordOf(term);
    const isEarlier = explanations.some((other) => other.term === term && other.at < at);
    const user =
      isEarlier || spoken.test(pattern.prerequisites)
        ? undefined
        : pattern.steps.slice(0, at).find(({ text }) => spoken.test(text));
    return user ? [{ stepId: user.id, inText: spoken.exec(user.text)?.[0] ?? term, explainedId }] : [];
  });
}

interface Explanation {
  readonly term: string;
  readonly at: number;
  readonly explainedId: string;
}

const bySteps = ({ steps }: Pattern): Explanation[] =>
  steps.flatMap(({ id, text }, at) => explainedIn(text).map((term) => ({ term, at, explainedId: id })));

/** A technique whose name is one word is a term, and its first step shows what it is. */
const byTechniques = ({ techniques, steps }: Pattern): Explanation[] =>
  techniques.flatMap(({ id, name }) => {
    const at = steps.findIndex(({ technique }) => technique?.useId === id);
    const term = name.trim().toLowerCase();
    const step = steps[at];
    return step && GERUND.test(term) && !NO_TERMS.has(term) ? [{ term, at, explainedId: step.id }] : [];
  });

/** Names of techniques that are an act: `tacking`; what is only called after a thing is no term. */
const GERUND = /^\p{L}{3,}ing$/u;

/** In whichever form it is used: tack, tacks, tacked, tacking. */
const wordOf = remembered((term: string): RegExp => {
  const stem = term.replace(/(?:ing|ed)$/u, '');
  const single = stem.replace(/(\p{L})\1$/u, '$1');
  return new RegExp(`(?<!\\p{L})(?:${stem}|${single})(?:ing|ed|es|e|s)?(?!\\p{L})`, 'iu');
});
