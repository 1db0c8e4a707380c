import type { EngineWarning } from '../engine/index.ts';
import type { ReviewRule, RuleKind, Weight } from './rule.ts';

/** What the engine would have looked at is a remark like any other. */
export const warned = (code: EngineWarning['code'], kind: RuleKind, weight: Weight): ReviewRule => ({
  code,
  kind,
  weight,
  find: ({ warnings }) => warnings.filter((warning) => warning.code === code),
});
