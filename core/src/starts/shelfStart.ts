import { Type, type Static } from '@sinclair/typebox';
import { oneOf, orUnknown, strict } from '../base/index.ts';
import { START_COLOURS, startColour } from './colours.ts';
import { SHELF_KINDS, shelfKind, type ShelfThing } from './shelfKinds.ts';

/** One thing that is ticked: of which kind, in which colour, and how much of it there is. */
export const ShelfPick = Type.Object(
  {
    kindId: oneOf(SHELF_KINDS.map(({ id }) => id)),
    /** Null: as its kind is, or it has none. */
    colourId: orUnknown(oneOf(START_COLOURS.map(({ id }) => id))),
    /** Grams of wool, pieces, metres; null: not counted. */
    onHand: orUnknown(Type.Number()),
  },
  strict,
);
export type ShelfPick = Static<typeof ShelfPick>;

export const ShelfStartInput = Type.Object(
  { picks: Type.Array(ShelfPick, { minItems: 1, maxItems: 400 }) },
  strict,
);
export type ShelfStartInput = Static<typeof ShelfStartInput>;

/** What a pick puts on the shelf: a colour is called by its name, told apart by its preparation. */
export function thingOfPick({ kindId, colourId }: ShelfPick): ShelfThing | null {
  const kind = shelfKind(kindId);
  if (!kind) return null;
  const colour = colourId === null ? null : startColour(colourId);
  if (kind.kind !== 'fibre' || !colour) return kind;
  return { kind: 'fibre', input: { ...kind.input, name: colour.name, colour: colour.colour } };
}
