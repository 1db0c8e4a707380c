import { Type, type Static } from '@sinclair/typebox';
import { discriminated } from '../schema/discriminated.ts';
import type { FindingMeasure } from './finding.ts';

const strict = { additionalProperties: false } as const;
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

/** A class keeps a pair of each eye for every table, and a tenth of beads and bells. Ours. */
export const SPARE_EYES_A_TABLE = 2;
export const SPARE_SMALL_FRACTION = 0.1;

/** The rule where nobody has said one: a posted box has nobody beside it to keep spares. */
export function usualSpares({ measure }: { readonly measure: FindingMeasure }, isClass: boolean): SpareRule {
  if (!isClass || measure.by !== 'count') return { by: 'none' };
  switch (measure.sort) {
    case 'eye':
      return { by: 'table', count: SPARE_EYES_A_TABLE };
    case 'bead':
    case 'bell':
      return { by: 'share', fraction: SPARE_SMALL_FRACTION };
    default:
      return { by: 'none' };
  }
}

/** A rule of this kind with a number to begin with. */
export const blankSpares = (by: SpareRule['by']): SpareRule =>
  by === 'none'
    ? { by }
    : by === 'share'
      ? { by, fraction: SPARE_SMALL_FRACTION }
      : { by, count: by === 'pack' ? 1 : 2 };
