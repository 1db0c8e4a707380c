import { Type, type Static } from '@sinclair/typebox';
import { oneOf, strict } from '../../base/index.ts';
import { type Fibre, PREPARATIONS } from '../fibre/fibre.ts';
import type { Lot } from '../fibre/lot.ts';

/** So many parts of a fibre or of another blend. */
export const BlendPart = Type.Object(
  {
    itemId: Type.String({ minLength: 1, maxLength: 40 }),
    parts: Type.Number({ description: 'by mass, against the others' }),
  },
  strict,
);
export type BlendPart = Static<typeof BlendPart>;

export const BlendInput = Type.Object(
  {
    name: Type.String({ maxLength: 80 }),
    otherNames: Type.Array(Type.String({ maxLength: 60 }), { maxItems: 12 }),
    preparation: oneOf(PREPARATIONS),
    parts: Type.Array(BlendPart, { maxItems: 12 }),
    /** Why more than 30 % that does not felt alone is meant. */
    overrideReason: Type.String({ maxLength: 200 }),
    note: Type.String({ maxLength: 400 }),
    archived: Type.Boolean(),
  },
  strict,
);
export type BlendInput = Static<typeof BlendInput>;

export interface StoredBlend extends BlendInput {
  readonly id: string;
  readonly version: number;
  readonly lots: readonly Lot[];
  readonly onHandG: number | null;
  readonly peakG: number;
}

/** A blend with what is computed of it: it stands in a pattern like any fibre. Null while it cannot be. */
export interface Blend extends StoredBlend {
  readonly asFibre: Fibre | null;
}

export const BLANK_BLEND: BlendInput = {
  name: '',
  otherNames: [],
  preparation: 'carded',
  parts: [],
  overrideReason: '',
  note: '',
  archived: false,
};
