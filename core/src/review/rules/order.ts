import { CAUTIONS, isWaitedFor, minutesRange, type Pattern, type Step } from '../../pattern/index.ts';
import { brokenLinks, cautionsOf } from '../../writing/index.ts';
import type { ReviewContext } from '../context.ts';
import { rule, stepRule } from '../rule.ts';

/** Order and care. */
export const ORDER_RULES = [
  rule('order_broken', 'order', 'stumble', ({ pattern, links }) =>
    brokenLinks(pattern.steps, links).map((link) => ({ link })),
  ),
  stepRule(
    'waiting_not_said',
    'order',
    'stumble',
    (step, _at, { pattern }) => isWaitedFor(step, pattern) && step.waiting === null,
  ),
  rule('glue_sets_longer', 'order', 'stumble', (context) => {
    const settingMinutes = longestSetting(context);
    if (settingMinutes === 0) return [];
    return context.pattern.steps.flatMap((step, at) => {
      if (step.act.kind !== 'glue') return [];
      const waited = waitedAfter(context.pattern, at);
      return waited !== null && waited < settingMinutes ? [{ stepId: step.id, settingMinutes }] : [];
    });
  }),
  stepRule('irreversible_unchecked', 'order', 'look', (step, at, { pattern }) => {
    if (step.act.kind !== 'cut' && step.act.kind !== 'glue') return false;
    const before = pattern.steps[at - 1];
    const isLookedAt = (each: Step | undefined) =>
      each !== undefined && (each.checks.length > 0 || each.act.kind === 'check');
    return !isLookedAt(step) && !isLookedAt(before);
  }),
  stepRule(
    'decision_never_recalled',
    'order',
    'look',
    ({ id, act }, _at, { pattern }) =>
      act.kind === 'decide' && !pattern.steps.some(({ recallsStepId }) => recallsStepId === id),
  ),
  rule('caution_taken_off', 'order', 'look', ({ pattern, wool }) => {
    const everything = cautionsOf(
      {
        ...pattern,
        steps: pattern.steps.map((step) => ({ ...step, cautions: { added: [], dismissed: [] } })),
      },
      wool,
    );
    return pattern.steps.flatMap(({ id, cautions }) =>
      CAUTIONS.filter(
        (caution) => cautions.dismissed.includes(caution) && everything.get(id)?.includes(caution),
      ).map((caution) => ({ stepId: id, caution })),
    );
  }),
];

/** Of the glues in the pattern the one that sets longest, minutes; 0: none says. */
function longestSetting({ pattern, wool }: ReviewContext): number {
  return pattern.findings.reduce((most, { findingId }) => {
    const measure = wool.findings.get(findingId ?? '')?.measure;
    return measure?.by === 'volume' ? Math.max(most, measure.settingMinutes ?? 0) : most;
  }, 0);
}

/** What is waited in the step, or in the next wait that shares a part with it; null: nobody says. */
function waitedAfter({ steps }: Pattern, at: number): number | null {
  const step = steps[at];
  if (!step) return null;
  if (step.waiting !== null) return minutesRange(step.waiting).high;
  const wait = steps
    .slice(at + 1)
    .find(({ act, partIds }) => act.kind === 'wait' && partIds.some((id) => step.partIds.includes(id)));
  return wait?.waiting == null ? null : minutesRange(wait.waiting).high;
}
