import { blankUse, isWool, type Part, type Pattern, type Step, type WoolUse } from '../pattern/index.ts';
import type { Recognised } from './recognise.ts';

type RecognisedAmount = Extract<Recognised, { is: 'amount' }>;

/** Which use of which part a recognised amount speaks of; null where the step acts on no part. */
export interface AmountPlace {
  readonly partId: string;
  /** Null: no use of that fibre is there yet, and a new one is added. */
  readonly useId: string | null;
}

/** The use with that fibre on a part of the step, else the one that the stage is about. */
export function placeOfAmount(step: Step, found: RecognisedAmount, pattern: Pattern): AmountPlace | null {
  const parts = pattern.parts.filter(({ id }) => step.partIds.includes(id));
  const [first] = parts;
  if (!first) return null;
  for (const part of parts) {
    const use = woolOf(part).find(({ fibreId }) => found.fibreId !== null && fibreId === found.fibreId);
    if (use) return { partId: part.id, useId: use.id };
  }
  const ofStage = woolOf(first).find(({ role }) => role === (step.stage === 'coat' ? 'coat' : 'core'));
  return { partId: first.id, useId: found.fibreId === null ? (ofStage?.id ?? null) : null };
}

const woolOf = ({ uses }: Part): WoolUse[] => uses.filter(isWool);

/** The pattern with the amount on the use it speaks of, the author’s own words beside it. */
export function takeAmount(pattern: Pattern, step: Step, found: RecognisedAmount, newId: string): Pattern {
  const place = placeOfAmount(step, found, pattern);
  if (!place) return pattern;
  return {
    ...pattern,
    parts: pattern.parts.map((part) => {
      if (part.id !== place.partId) return part;
      const stated = { amount: found.amount, words: found.text };
      if (place.useId === null) {
        return {
          ...part,
          uses: [...part.uses, { ...blankUse(newId, 'added', found.fibreId), ...stated }],
        };
      }
      return {
        ...part,
        uses: part.uses.map((use) => (use.id === place.useId && isWool(use) ? { ...use, ...stated } : use)),
      };
    }),
  };
}
