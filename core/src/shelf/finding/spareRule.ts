import { discriminated, strict } from '../../base/index.ts';
import { Type, type Static } from '@sinclair/typebox';

const Some = Type.Integer({ minimum: 1, maximum: 500 });

/** How many are kept over what is used, because small things roll away. */
export const SpareRule = discriminated('by', [
  Type.Object({ by: Type.Literal('none') }, strict),
  /** Into every pack. */
  Type.Object({ by: Type.Literal('pack'), count: Some }, strict),
  /** For every table, in the spare bag. */
  Type.Object({ by: Type.Literal('table'), count: Some }, strict),
  /** For the whole run, in the spare bag. */
  Type.Object({ by: Type.Literal('run'), count: Some }, strict),
  /** Of what all packs use, in the spare bag. */
  Type.Object(
    { by: Type.Literal('share'), fraction: Type.Number({ exclusiveMinimum: 0, maximum: 2 }) },
    strict,
  ),
]);
export type SpareRule = Static<typeof SpareRule>;
export const SPARE_RULE_KINDS = [
  'none',
  'pack',
  'table',
  'run',
  'share',
] as const satisfies readonly SpareRule['by'][];
