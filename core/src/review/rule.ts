import type { ReviewContext } from './context.ts';
import type { Remark, RemarkCode } from './remark.ts';

/** What a rule is about, in the order in which a maker would mend it. */
export const RULE_KINDS = [
  'made',
  'listed',
  'order',
  'checks',
  'counts',
  'sizes',
  'words',
  'hands',
  'sessions',
  'figure',
  'seen',
  'rights',
] as const;
export type RuleKind = (typeof RULE_KINDS)[number];

/** How bad it is: a reader will stumble, or it is worth a look. Unknowns stop publishing, and nothing else does. */
export type Weight = 'stumble' | 'look';

/** One thing a reader may stumble over: where to find it, and how bad it is. */
export interface ReviewRule {
  readonly code: RemarkCode;
  readonly kind: RuleKind;
  readonly weight: Weight;
  readonly find: (context: ReviewContext) => readonly Remark[];
}

/** What has to be known to say a remark, beside which it is. */
type Facts<C extends RemarkCode> = Omit<Extract<Remark, { readonly code: C }>, 'code'>;

/** @param find what of the pattern a reader would stumble over, as facts */
export const rule = <C extends RemarkCode>(
  code: C,
  kind: RuleKind,
  weight: Weight,
  find: (context: ReviewContext) => readonly Facts<C>[],
): ReviewRule => ({
  code,
  kind,
  weight,
  find: (context) => find(context).map((facts) => ({ code, ...facts }) as unknown as Remark),
});

/** A rule that asks each step by itself. @param isSo whether a reader would stumble there */
export const stepRule = (
  code: Extract<Remark, { readonly stepId: string }>['code'],
  kind: RuleKind,
  weight: Weight,
  isSo: (step: ReviewContext['pattern']['steps'][number], at: number, context: ReviewContext) => boolean,
): ReviewRule => ({
  code,
  kind,
  weight,
  find: (context) =>
    context.pattern.steps.flatMap((step, at) =>
      isSo(step, at, context) ? [{ code, stepId: step.id } as Remark] : [],
    ),
});
