import type { NeedleFacts } from './needleFacts.ts';
import { COARSENESS_UNKNOWN, NEEDLE_RULES, type NeedleRuleId, type Strength, STRENGTHS } from './rules.ts';
import type { StepFacts } from './stepFacts.ts';

/** What a needle is like at a step. */
export interface Verdict {
  /** The worst that any rule says; fair where none says anything. */
  readonly strength: Strength;
  /** The rules that made it so. */
  readonly because: readonly NeedleRuleId[];
  /** Rules that hold as well, and weigh less. */
  readonly also: readonly NeedleRuleId[];
}

const byId = new Map<
  NeedleRuleId,
  { readonly reason: string; readonly mend: string; readonly strength: Strength }
>([
  ...NEEDLE_RULES.map((needleRule) => [needleRule.id, needleRule] as const),
  [COARSENESS_UNKNOWN.id, COARSENESS_UNKNOWN],
]);

/** A rule by its id: its reason, its mend, its strength. */
export function ruleOf(id: NeedleRuleId): { reason: string; mend: string; strength: Strength } {
  const found = byId.get(id);
  if (!found) throw new Error(`no rule is called ${id}`);
  return found;
}

/** How a needle does at a step, and which rules say so. A bad word outweighs any number of good ones. */
export function judgeNeedle(step: StepFacts, needle: NeedleFacts): Verdict {
  const { gauge } = needle;
  if (gauge === null) return { strength: 'fair', because: [COARSENESS_UNKNOWN.id], also: [] };
  const known = { ...needle, gauge };
  const held = NEEDLE_RULES.filter(({ holds }) => holds(step, known));
  const strength = STRENGTHS.find((candidate) => held.some((rule) => rule.strength === candidate)) ?? 'fair';
  return {
    strength,
    because: held.filter((rule) => rule.strength === strength).map(({ id }) => id),
    also: held.filter((rule) => rule.strength !== strength).map(({ id }) => id),
  };
}

/** Above nought where the first is the better one. */
export const compareStrength = (a: Strength, b: Strength): number =>
  STRENGTHS.indexOf(a) - STRENGTHS.indexOf(b);
