import { Type, type Static } from '@sinclair/typebox';
import { KIT_DEFAULTS, SKILLS } from '../ladder/index.ts';
import { checkRange, checkWhole, type Problem } from '../problems/index.ts';
import { oneOf, orUnknown } from '../schema/oneOf.ts';
import { Seat } from './seat.ts';
import { isCalendarDate } from '../units/index.ts';

/** A class as its instructor plans it. */
export const RunInput = Type.Object(
  {
    name: Type.String({ maxLength: 120 }),
    date: Type.String({ maxLength: 10, description: 'calendar date, YYYY-MM-DD' }),
    seats: Type.Number(),
    sparePacks: Type.Number(),
    revisionId: Type.String({ minLength: 1, maxLength: 40 }),
    scaleStepG: Type.Number({ description: 'what the scale reads to, grams' }),
    extraFraction: Type.Number({ description: 'packed over the likely amount; 0.1 is a tenth more' }),
    seatsPerTable: Type.Number(),
    /** How steady the hands are, for needles that break. */
    skill: oneOf(SKILLS),
    needleRiskFraction: Type.Number({ description: 'chance that any sort of needle runs out' }),
    /** Null: the plain percentage. */
    wantedChance: orUnknown(Type.Number({ description: 'that nobody in the class is short of anything' })),
    /** Seats of which something is said, in their order. */
    roster: Type.Array(Seat, { maxItems: 200 }),
  },
  { additionalProperties: false },
);
export type RunInput = Static<typeof RunInput>;

export interface Run extends RunInput {
  readonly id: string;
  readonly version: number;
}

export const RUN_BOUNDS = {
  seats: { min: 1, max: 200 },
  sparePacks: { min: 0, max: 50 },
  scaleStepG: { min: 0.001, max: 10 },
  extraFraction: { min: 0, max: 1 },
  seatsPerTable: { min: 1, max: 50 },
  needleRiskFraction: { min: 0.001, max: 0.5 },
  wantedChance: { min: 0.5, max: 0.99 },
} as const;

export const RUN_DEFAULTS = {
  seats: 8,
  sparePacks: 1,
  scaleStepG: 0.1,
  extraFraction: 0.1,
  seatsPerTable: KIT_DEFAULTS.seatsPerTable,
  skill: KIT_DEFAULTS.skill,
  needleRiskFraction: KIT_DEFAULTS.riskFraction,
  wantedChance: null as number | null,
  roster: [] as Seat[],
} as const;

/** Why a class may not be stored as it is. */
export function checkRun(run: RunInput): Problem[] {
  return [
    ...(run.name.trim() === '' ? [{ code: 'title_empty', pointer: '/name' } as const] : []),
    ...(isCalendarDate(run.date)
      ? []
      : [{ code: 'date_not_read', pointer: '/date', text: run.date } as const]),
    ...checkWhole(run.seats, RUN_BOUNDS.seats, '/seats'),
    ...checkWhole(run.sparePacks, RUN_BOUNDS.sparePacks, '/sparePacks'),
    ...checkRange(run.scaleStepG, RUN_BOUNDS.scaleStepG, '/scaleStepG'),
    ...checkRange(run.extraFraction, RUN_BOUNDS.extraFraction, '/extraFraction'),
    ...checkWhole(run.seatsPerTable, RUN_BOUNDS.seatsPerTable, '/seatsPerTable'),
    ...checkRange(run.needleRiskFraction, RUN_BOUNDS.needleRiskFraction, '/needleRiskFraction'),
    ...(run.wantedChance === null
      ? []
      : checkRange(run.wantedChance, RUN_BOUNDS.wantedChance, '/wantedChance')),
    ...checkRoster(run),
  ];
}

/** Every seat is one of the class’s, and is told of once. */
function checkRoster({ roster, seats }: RunInput): Problem[] {
  const seen = new Set<number>();
  return roster.flatMap(({ seat }, index): Problem[] => {
    const pointer = `/roster/${index}/seat`;
    const isTwice = seen.has(seat);
    seen.add(seat);
    if (seat > seats) return [{ code: 'seat_beyond', pointer, seat, seats }];
    return isTwice ? [{ code: 'seat_twice', pointer, seat }] : [];
  });
}
