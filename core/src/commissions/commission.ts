import { type Static, Type } from '@sinclair/typebox';
import { Id, Length, oneOf, orUnknown, strict } from '../base/index.ts';
import { SeatChoices } from '../run/index.ts';

const Words = (maxLength: number) => Type.String({ maxLength });
const Day = Words(10);
/** Integer minor units of the studio’s own currency. */
const Money = (description: string) =>
  orUnknown(Type.Integer({ minimum: 0, maximum: 100_000_000, description }));

/** Asked for; agreed on; made; with whoever asked; or not to be. */
const COMMISSION_STATES = ['asked', 'agreed', 'made', 'handed-over', 'declined'] as const;
export type CommissionState = (typeof COMMISSION_STATES)[number];

/** Somebody asked for a figure, or for several alike. */
export const CommissionInput = Type.Object(
  {
    /** What is wanted, in a few words. */
    title: Words(120),
    words: Words(4000),
    askedBy: Words(60),
    /** How to reach whoever asked. */
    reach: Words(160),
    askedOn: Day,
    /** Null: whenever it is done. */
    byDay: orUnknown(Day),
    count: Type.Integer(),
    /** That answers it; null: none yet. */
    patternId: orUnknown(Id),
    choices: SeatChoices,
    /** Null: as tall as the pattern says. */
    height: orUnknown(Length),
    state: oneOf(COMMISSION_STATES),
    agreedMinor: Money('agreed for all of them; null: nothing is agreed'),
    hourlyMinor: Money('what an hour of it is to be worth; null: not said'),
    /** The day the work begins; null: it has no place in the calendar yet. */
    beginsOn: orUnknown(Day),
    /** Pages of the logbook on which they were made. */
    makings: Type.Array(Type.Object({ makingId: Id }, strict), { maxItems: 60 }),
    pictures: Type.Array(
      Type.Object(
        {
          id: Id,
          pictureId: Id,
          words: Words(200),
          /** Of the finished figure; false: of what is wanted. */
          isOfIt: Type.Boolean(),
        },
        strict,
      ),
      { maxItems: 12 },
    ),
    /** The day whoever asked had it; null: not yet. */
    handedOverOn: orUnknown(Day),
  },
  strict,
);
export type CommissionInput = Static<typeof CommissionInput>;

export interface Commission extends CommissionInput {
  readonly id: string;
  readonly version: number;
}

export const COMMISSION_BOUNDS = { count: { min: 1, max: 60 } } as const;

/** @param askedOn YYYY-MM-DD */
export const blankCommission = (title: string, askedOn: string): CommissionInput => ({
  title,
  words: '',
  askedBy: '',
  reach: '',
  askedOn,
  byDay: null,
  count: 1,
  patternId: null,
  choices: { values: {}, colourwayId: null, swapIds: [] },
  height: null,
  state: 'asked',
  agreedMinor: null,
  hourlyMinor: null,
  beginsOn: null,
  makings: [],
  pictures: [],
  handedOverOn: null,
});

/** Work that is still ahead: it takes wool and days. */
export const isAhead = ({ state }: Pick<CommissionInput, 'state'>): boolean =>
  state === 'asked' || state === 'agreed';
