import { Type, type Static } from '@sinclair/typebox';
import { discriminated, Id, Length, oneOf, orUnknown, strict } from '../../base/index.ts';
import { HAND_MEASURES } from '../../shelf/index.ts';

const Size = orUnknown(Length);
const Grams = orUnknown(Type.Number({ exclusiveMinimum: 0, maximum: 10_000, description: 'grams' }));
const Some = orUnknown(Type.Number({ exclusiveMinimum: 0, maximum: 1000 }));
const Ways = Type.Integer({ minimum: 1, maximum: 64, description: 'split lengthwise in so many' });

/** Where wool goes on until something is so, nobody says how much: it is calculated, and marked as that. */
export const UNTIL = ['size', 'cover', 'fit'] as const;

/**
 * An amount of one piece as its author states it. A null inside is not said yet: the amount is then unknown, never
 * calculated behind the author's back.
 */
export const Amount = discriminated('form', [
  /** `highG` makes it a range. */
  Type.Object({ form: Type.Literal('grams'), massG: Grams, highG: Grams, isWeighed: Type.Boolean() }, strict),
  /** Torn from a batt, each side a range where its high end is said; by its loft where a depth is said, by grams per m² otherwise. */
  Type.Object(
    {
      form: Type.Literal('strip'),
      length: Size,
      width: Size,
      depth: Size,
      highLength: Size,
      highWidth: Size,
    },
    strict,
  ),
  /** Cut from a batt, sheet or pre-felt, by grams per m². */
  Type.Object({ form: Type.Literal('sheet'), length: Size, width: Size }, strict),
  Type.Object({ form: Type.Literal('tops'), length: Size, highLength: Size, ways: Ways }, strict),
  Type.Object({ form: Type.Literal('hand'), measure: oneOf(HAND_MEASURES), count: Some }, strict),
  /** One of so many equal parts of a weighed lot. */
  Type.Object({ form: Type.Literal('equal-part'), lotG: Grams, parts: Some }, strict),
  /** One weight that several uses share; what each takes is in proportion to what it would calculate to. */
  Type.Object({ form: Type.Literal('shared'), sharedId: orUnknown(Id) }, strict),
  /** What the others leave of a shared weight. */
  Type.Object({ form: Type.Literal('rest'), sharedId: orUnknown(Id) }, strict),
  /** Half of the nose. */
  Type.Object({ form: Type.Literal('relative'), fraction: Some, ofUseId: orUnknown(Id) }, strict),
  Type.Object({ form: Type.Literal('at-most'), massG: Grams }, strict),
  /** Turns of yarn round a girth; null: round the part. */
  Type.Object({ form: Type.Literal('turns'), turns: Some, girth: Size }, strict),
  Type.Object({ form: Type.Literal('tufts'), count: Some, ways: Ways }, strict),
  /** Counted and graded: two long alike, one thick, two short. */
  Type.Object(
    {
      form: Type.Literal('locks'),
      grades: Type.Array(
        Type.Object({ name: Type.String({ maxLength: 60 }), count: Some, eachG: Grams }, strict),
        { minItems: 1, maxItems: 8 },
      ),
    },
    strict,
  ),
  /** Cut off hair that was laid before: takes none. */
  Type.Object({ form: Type.Literal('trimmings'), ofUseId: orUnknown(Id) }, strict),
  Type.Object({ form: Type.Literal('until'), what: oneOf(UNTIL) }, strict),
]);
export type Amount = Static<typeof Amount>;
export type AmountForm = Amount['form'];

/** In the order they are offered. */
export const AMOUNT_FORMS = [
  'grams',
  'tops',
  'strip',
  'sheet',
  'hand',
  'tufts',
  'locks',
  'turns',
  'equal-part',
  'shared',
  'rest',
  'relative',
  'at-most',
  'trimmings',
  'until',
] as const satisfies readonly AmountForm[];

const BLANK: { readonly [F in AmountForm]: Extract<Amount, { form: F }> } = {
  grams: { form: 'grams', massG: null, highG: null, isWeighed: false },
  strip: { form: 'strip', length: null, width: null, depth: null, highLength: null, highWidth: null },
  sheet: { form: 'sheet', length: null, width: null },
  tops: { form: 'tops', length: null, highLength: null, ways: 1 },
  hand: { form: 'hand', measure: 'pinch', count: 1 },
  'equal-part': { form: 'equal-part', lotG: null, parts: 2 },
  shared: { form: 'shared', sharedId: null },
  rest: { form: 'rest', sharedId: null },
  relative: { form: 'relative', fraction: 0.5, ofUseId: null },
  'at-most': { form: 'at-most', massG: null },
  turns: { form: 'turns', turns: null, girth: null },
  tufts: { form: 'tufts', count: 1, ways: 1 },
  locks: { form: 'locks', grades: [{ name: '', count: null, eachG: null }] },
  trimmings: { form: 'trimmings', ofUseId: null },
  until: { form: 'until', what: 'cover' },
};

/** An amount of this form with nothing said yet. */
export const blankAmount = (form: AmountForm): Amount => BLANK[form];
