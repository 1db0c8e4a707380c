import { Type, type Static } from '@sinclair/typebox';
import { discriminated, Id, Length, oneOf, orUnknown, strict } from '../../base/index.ts';
import { HAIR_FIXED, HAIR_WEIGHTS } from '../../shapes/index.ts';
import { Amount } from './amount.ts';
import { Count } from './count.ts';
import { Placement } from './placement.ts';

const Size = orUnknown(Length);
const Often = Type.Number({ minimum: 1, maximum: 500, description: 'how many on one piece' });
export const NEEDLED_FORMS = ['line', 'hollow'] as const;
export type NeedledForm = (typeof NEEDLED_FORMS)[number];

/** Of details: a number, somewhere between two, or nobody has said. */
const Several = Count;

/** What every use of wool has: which, how much if the author says so, and in which words. */
const wool = {
  id: Id,
  /** A fibre or a blend; null is not chosen yet. */
  fibreId: orUnknown(Id),
  /** Null: calculated. */
  amount: orUnknown(Amount),
  /** Other statements of the same amount, held against the one that counts. */
  alsoSaid: Type.Array(Amount, { maxItems: 4 }),
  /** The author's own words for it, kept beside the grams. */
  words: Type.String({ maxLength: 200 }),
  /** For which size they were written, of the present one, linear: 1 is this. */
  wordsSizeFraction: Type.Number({ exclusiveMinimum: 0 }),
  /** Packed apart, and in no total of one make. */
  isIfNeeded: Type.Boolean(),
};

/** Where on its part a detail sits; null: nobody has said, and it is proposed. */
const placement = orUnknown(Placement);

/** How much of a surface a coat covers. */
const Cover = discriminated('kind', [
  Type.Object({ kind: Type.Literal('all') }, strict),
  Type.Object(
    { kind: Type.Literal('share'), fraction: Type.Number({ exclusiveMinimum: 0, maximum: 1 }) },
    strict,
  ),
  Type.Object({ kind: Type.Literal('patch'), length: Size, width: Size }, strict),
]);
type Cover = Static<typeof Cover>;

/** How thick a coat lies. */
const Thickness = discriminated('by', [
  /** So that what is beneath does not show. */
  Type.Object({ by: Type.Literal('hiding') }, strict),
  /** Meant to stay translucent: so many thin passes. */
  Type.Object({ by: Type.Literal('shading'), passes: Type.Number({ minimum: 1, maximum: 20 }) }, strict),
  Type.Object(
    { by: Type.Literal('said'), gPerM2: Type.Number({ exclusiveMinimum: 0, maximum: 2000 }) },
    strict,
  ),
]);
type Thickness = Static<typeof Thickness>;

/** One layer or other use of wool (or thing) on a part, from the inside out. */
export const Use = discriminated('role', [
  Type.Object({ ...wool, role: Type.Literal('core') }, strict),
  /** A ball, bead or cup inside: its volume is not wool. */
  Type.Object(
    {
      id: Id,
      role: Type.Literal('insert'),
      findingId: orUnknown(Id),
      count: Often,
      /** All of it, or only the hollow of a cup that wool fills. */
      space: oneOf(['whole', 'hollow'] as const),
    },
    strict,
  ),
  Type.Object({ ...wool, role: Type.Literal('coat'), cover: Cover, thickness: Thickness, placement }, strict),
  Type.Object(
    { ...wool, role: Type.Literal('patch'), length: Size, width: Size, count: Several, placement },
    strict,
  ),
  Type.Object({ ...wool, role: Type.Literal('line'), length: Size, count: Several, placement }, strict),
  Type.Object({ ...wool, role: Type.Literal('dot'), diameter: Size, count: Several, placement }, strict),
  Type.Object(
    {
      ...wool,
      role: Type.Literal('hair'),
      line: Size,
      drop: Size,
      weight: oneOf(HAIR_WEIGHTS),
      fixed: oneOf(HAIR_FIXED),
      trimFraction: Type.Number({ minimum: 0, maximum: 0.9 }),
      placement,
    },
    strict,
  ),
  /** A line or a hollow that is only needled: it takes no wool. */
  Type.Object(
    {
      id: Id,
      role: Type.Literal('needled'),
      form: oneOf(NEEDLED_FORMS),
      length: Size,
      /** Of a hollow; a line has none. */
      width: Size,
      /** How far it is drawn in. */
      depth: Size,
      count: Several,
      words: Type.String({ maxLength: 200 }),
      placement,
    },
    strict,
  ),
  /** Wool added by hand, of which nothing can be calculated. */
  Type.Object({ ...wool, role: Type.Literal('added') }, strict),
]);
export type Use = Static<typeof Use>;
export type UseRole = Use['role'];
/** What is wool: not what lies inside, and not what is only needled. */
export type WoolUse = Exclude<Use, { role: 'insert' | 'needled' }>;
export type UseOf<R extends UseRole> = Extract<Use, { role: R }>;

/** In the order they are offered, inside out. */
export const USE_ROLES = [
  'core',
  'insert',
  'coat',
  'patch',
  'line',
  'dot',
  'hair',
  'needled',
  'added',
] as const satisfies readonly UseRole[];

export const isWool = (use: Use): use is WoolUse => use.role !== 'insert' && use.role !== 'needled';

/** A use of this role with nothing said yet. */
export function blankUse(id: string, role: UseRole, fibreId: string | null = null): Use {
  const common = {
    id,
    fibreId,
    amount: null,
    alsoSaid: [],
    words: '',
    wordsSizeFraction: 1,
    isIfNeeded: false,
  };
  switch (role) {
    case 'core':
      return { ...common, role };
    case 'insert':
      return { id, role, findingId: null, count: 1, space: 'whole' };
    case 'coat':
      return { ...common, role, cover: { kind: 'all' }, thickness: { by: 'hiding' }, placement: null };
    case 'patch':
      return { ...common, role, length: null, width: null, count: 1, placement: null };
    case 'line':
      return { ...common, role, length: null, count: 1, placement: null };
    case 'dot':
      return { ...common, role, diameter: null, count: 1, placement: null };
    case 'hair':
      return {
        ...common,
        role,
        line: null,
        drop: null,
        weight: 'medium',
        fixed: 'middle',
        trimFraction: 0.15,
        placement: null,
      };
    case 'needled':
      return {
        id,
        role,
        form: 'line',
        length: null,
        width: null,
        depth: null,
        count: 1,
        words: '',
        placement: null,
      };
    case 'added':
      return { ...common, role };
  }
}
