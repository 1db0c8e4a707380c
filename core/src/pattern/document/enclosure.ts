import { type Static, Type } from '@sinclair/typebox';
import { Id, Length, oneOf, orUnknown, strict } from '../../base/index.ts';

const Size = orUnknown(Length);

/** `round`: a basket or a jar, as wide everywhere; `dome`: over a round foot, half an ellipse high. */
export const ENCLOSURE_SHAPES = ['box', 'round', 'dome', 'frame'] as const;
export type EnclosureShape = (typeof ENCLOSURE_SHAPES)[number];

/** What the finished figure has to go into, as it is inside. */
export const Enclosure = Type.Object(
  {
    id: Id,
    name: Type.String({ maxLength: 80 }),
    shape: oneOf(ENCLOSURE_SHAPES),
    /** Bought or found: what it is inside is its across, where none is typed. */
    findingId: orUnknown(Id),
    /** From side to side; of what is round its diameter. */
    across: Size,
    /** From front to back; of a box and a frame. */
    depth: Size,
    height: Size,
    /** What it goes in through; null: it is open all over. */
    openingAcross: Size,
    /** Of a box and a frame; null: as across. */
    openingDepth: Size,
  },
  strict,
);
export type Enclosure = Static<typeof Enclosure>;

/** Something to go into of which nothing is said yet. */
export const blankEnclosure = (id: string): Enclosure => ({
  id,
  name: '',
  shape: 'dome',
  findingId: null,
  across: null,
  depth: null,
  height: null,
  openingAcross: null,
  openingDepth: null,
});
