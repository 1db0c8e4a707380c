import { type Static, Type } from '@sinclair/typebox';
import { discriminated, Id, oneOf, orUnknown, strict } from '../base/index.ts';
import { PART_STATES } from '../pattern/index.ts';

const Words = (maxLength: number) => Type.String({ maxLength });
const SeatKey = Type.String({ minLength: 1, maxLength: 40, pattern: '^[\\w+-]+$' });
/** `SITTING:ROW` or `SITTING:STEP`: what is taught in a sitting. */
const EntryId = Type.String({ minLength: 3, maxLength: 90, pattern: '^[\\w-]+:[\\w-]+$' });
const Minutes = (minimum: number) => Type.Number({ minimum, maximum: 240 });

export const SAID_SORTS = ['question', 'trouble', 'idea'] as const;
export type SaidSort = (typeof SAID_SORTS)[number];

export const PHOTO_PERMISSIONS = ['studio', 'shown', 'none'] as const;
export type PhotoPermission = (typeof PHOTO_PERMISSIONS)[number];

/** Something that happened in a class. Whatever is done by mistake is taken back by its key; nothing is ever changed. */
export const ClassAct = discriminated('act', [
  Type.Object({ act: Type.Literal('sitting'), sessionId: Id, does: oneOf(['begin', 'end'] as const) }, strict),
  /** Begun; or everybody has it. */
  Type.Object({ act: Type.Literal('entry'), entryId: EntryId, does: oneOf(['begin', 'has-it'] as const) }, strict),
  Type.Object({ act: Type.Literal('more'), entryId: EntryId, minutes: Minutes(-240) }, strict),
  Type.Object({ act: Type.Literal('timer'), timerId: Id, name: Words(80), minutes: Minutes(0.1) }, strict),
  /** One that was forgotten has rung for hours. */
  Type.Object({ act: Type.Literal('timer-more'), timerId: Id, minutes: Type.Number({ minimum: -240, maximum: 10_000 }) }, strict),
  /** Heard, or no longer wanted. */
  Type.Object({ act: Type.Literal('timer-off'), timerId: Id }, strict),
  Type.Object({ act: Type.Literal('here'), seatKey: SeatKey, isHere: Type.Boolean() }, strict),
  /** What a piece at a seat is by now; null: not begun after all. */
  Type.Object({ act: Type.Literal('piece'), seatKey: SeatKey, partId: Id, state: orUnknown(oneOf(PART_STATES)) }, strict),
  Type.Object({ act: Type.Literal('help'), seatKey: SeatKey, isWanted: Type.Boolean() }, strict),
  /** A piece made up beforehand was handed over: it is as after that step. */
  Type.Object({ act: Type.Literal('prepared'), seatKey: SeatKey, stepId: Id }, strict),
  Type.Object({ act: Type.Literal('spare'), seatKey: SeatKey, fibreId: Id, massG: Type.Number({ minimum: 0.001, maximum: 1000, description: 'out of the spare bag, grams' }) }, strict),
  Type.Object({ act: Type.Literal('finished'), seatKey: SeatKey, isFinished: Type.Boolean() }, strict),
  Type.Object({ act: Type.Literal('sharp'), key: Type.String({ minLength: 1, maxLength: 80 }), pile: oneOf(['out', 'in'] as const), amount: Type.Integer({ minimum: -200, maximum: 200 }) }, strict),
  Type.Object({ act: Type.Literal('heat'), key: Type.String({ minLength: 1, maxLength: 80 }), isOn: Type.Boolean() }, strict),
  /** A needle broke, and its tip is not there yet. */
  Type.Object({ act: Type.Literal('tip'), tipId: Id, seatKey: orUnknown(SeatKey), needleId: orUnknown(Id), note: Words(200) }, strict),
  Type.Object({ act: Type.Literal('tip-found'), tipId: Id, where: Words(200) }, strict),
  Type.Object({ act: Type.Literal('said'), sort: oneOf(SAID_SORTS), revisionId: Id, stepId: orUnknown(Id), partId: orUnknown(Id), seatKey: orUnknown(SeatKey), text: Words(600) }, strict),
  /** Wool that came back: of one seat, or of all in a heap. */
  Type.Object({ act: Type.Literal('left'), fibreId: Id, seatKey: orUnknown(SeatKey), massG: Type.Number({ minimum: 0.001, maximum: 10_000, description: 'weighed back in, grams' }) }, strict),
  Type.Object({ act: Type.Literal('photo'), pictureId: Id, seatKey: orUnknown(SeatKey), permission: oneOf(PHOTO_PERMISSIONS) }, strict),
  /** The finished box of a pack. */
  Type.Object({ act: Type.Literal('box-photo'), pictureId: Id, packId: Type.String({ minLength: 1, maxLength: 80 }) }, strict),
  Type.Object({ act: Type.Literal('back'), key: Type.String({ minLength: 1, maxLength: 40 }) }, strict),
]); // prettier-ignore
export type ClassAct = Static<typeof ClassAct>;

/** An act as a device sends it. */
export const ClassEventInput = Type.Object(
  {
    /** Made by who did it: sent twice it counts once. */
    key: Type.String({ minLength: 1, maxLength: 40 }),
    /** When it was done, ISO 8601, UTC, on the studio’s clock as far as the device knows it. */
    at: Type.String({ maxLength: 30, pattern: '^\\d{4}-\\d\\d-\\d\\dT\\d\\d:\\d\\d:\\d\\d(\\.\\d{1,3})?Z$' }),
    /** The device, by a key it made for itself once: two pages on one machine are two. */
    from: Id,
    /** The last event of the class that the device knew of; 0: of none. */
    seen: Type.Integer({ minimum: 0 }),
    what: ClassAct,
  },
  strict,
);
export type ClassEventInput = Static<typeof ClassEventInput>;

/** An act as the studio keeps it. */
export interface ClassEvent extends ClassEventInput {
  /** In the order in which they came in, from 1. One that waits on a device is after all that are kept. */
  readonly seq: number;
  /** What the studio calls the device; null: it is not with the studio yet. */
  readonly device: string | null;
}

export type ActOf<K extends ClassAct['act']> = Extract<ClassAct, { readonly act: K }>;
