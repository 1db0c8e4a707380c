import { resolveBuild, valuesOf } from '../build/index.ts';
import type { FibreFlag } from '../fibre/index.ts';
import {
  brokenLimit,
  isWool,
  NO_CHOICES,
  type Choices,
  type OptionLimit,
  type Pattern,
} from '../pattern/index.ts';
import type { Skill } from '../ladder/index.ts';
import { estimatePattern, type PatternEstimate, type Wool } from '../wool/index.ts';
import type { RunInput } from './run.ts';
import { seatsOf, type Seat } from './seat.ts';

/** What a seat’s choices come to in a revision. */
export type SeatChoice =
  | { readonly kind: 'chosen'; readonly choices: Choices }
  | { readonly kind: 'undecided' }
  /** Something was chosen that this revision does not have. */
  | { readonly kind: 'gone'; readonly choices: Choices; readonly gone: number }
  | { readonly kind: 'forbidden'; readonly choices: Choices; readonly limit: OptionLimit };

/** What a seat has chosen, held against what the revision offers. */
export function choiceOfSeat(pattern: Pattern, { choices }: Pick<Seat, 'choices'>): SeatChoice {
  if (choices === null) return { kind: 'undecided' };
  const known = knownChoices(pattern, choices);
  const gone = countOf(choices) - countOf(known);
  if (gone > 0) return { kind: 'gone', choices: known, gone };
  const limit = brokenLimit(valuesOf(pattern, known), pattern.limits);
  return limit ? { kind: 'forbidden', choices: known, limit } : { kind: 'chosen', choices: known };
}

function knownChoices({ options, colourways, swaps }: Pattern, choices: Choices): Choices {
  const values = Object.entries(choices.values).filter(
    ([optionId, valueId]) =>
      options.find(({ id }) => id === optionId)?.values.some(({ id }) => id === valueId) === true,
  );
  return {
    values: Object.fromEntries(values),
    colourwayId: colourways.some(({ id }) => id === choices.colourwayId) ? choices.colourwayId : null,
    swapIds: choices.swapIds.filter((swapId) => swaps.some(({ id }) => id === swapId)),
  };
}

const countOf = ({ values, colourwayId, swapIds }: Choices): number =>
  Object.keys(values).length + (colourwayId === null ? 0 : 1) + swapIds.length;

/** Packs that are alike: those who make the same, and what is spare. */
export interface PackGroup {
  /** The same for the same build. */
  readonly key: string;
  readonly choices: Choices;
  readonly build: Pattern;
  /** How practised its seats are; null where that makes no difference to what is packed. */
  readonly skill: Skill | null;
  /** Numbers of seats, rising. */
  readonly seats: readonly number[];
  /** Seats among them that have not chosen. */
  readonly undecided: readonly number[];
  readonly spares: number;
  /** Seats and spares. */
  readonly packs: number;
}

/** What tells whether two choices make the same: every option’s value, the colourway, the swaps. */
const keyOf = (pattern: Pattern, choices: Choices): string =>
  JSON.stringify([
    Object.entries(valuesOf(pattern, choices)).sort(([a], [b]) => a.localeCompare(b)),
    choices.colourwayId,
    [...choices.swapIds].sort(),
  ]);

type Roster = Pick<RunInput, 'seats' | 'sparePacks' | 'roster' | 'skill' | 'wantedChance'>;

/**
 * The packs of a class by what is in them, most first. Who has not chosen, or has chosen what cannot be, gets the usual
 * build, and so do spares. Packed for a chance, those who stray more get more, so that skills go apart too.
 */
export function packGroups(pattern: Pattern, run: Roster): PackGroup[] {
  const groups = new Map<string, Gathered>();
  const groupOf = (choices: Choices, skill: Skill) => {
    const own = run.wantedChance === null ? null : skill;
    const key = `${keyOf(pattern, choices)}${own ?? ''}`;
    const group = groups.get(key) ?? { choices, skill: own, seats: [], undecided: [], spares: 0 };
    groups.set(key, group);
    return group;
  };
  for (const seat of seatsOf(run)) {
    const choice = choiceOfSeat(pattern, seat);
    const own = groupOf(choice.kind === 'chosen' ? choice.choices : NO_CHOICES, seat.skill ?? run.skill);
    own.seats.push(seat.seat);
    if (choice.kind !== 'chosen') own.undecided.push(seat.seat);
  }
  if (run.sparePacks > 0) groupOf(NO_CHOICES, run.skill).spares = run.sparePacks;
  return [...groups]
    .map(([key, own]): PackGroup => ({
      ...own,
      key,
      build: resolveBuild(pattern, own.choices),
      packs: own.seats.length + own.spares,
    }))
    .sort((a, b) => b.packs - a.packs || (a.seats[0] ?? 0) - (b.seats[0] ?? 0));
}

interface Gathered {
  readonly choices: Choices;
  readonly skill: Skill | null;
  readonly seats: number[];
  readonly undecided: number[];
  spares: number;
}

/** What a class is packed from: its groups, and what one make of each takes. */
export interface ToPack {
  readonly groups: readonly PackGroup[];
  /** By the group’s key. */
  readonly estimates: ReadonlyMap<string, PatternEstimate>;
}

/** The groups of a class with their estimates; what makes the same is estimated once. */
export function toPackOf(pattern: Pattern, run: Roster, wool: Wool): ToPack {
  const groups = packGroups(pattern, run);
  const byChoices = new Map<string, PatternEstimate>();
  const estimates = new Map(
    groups.map(({ key, choices, build }) => {
      const same = keyOf(pattern, choices);
      const estimate = byChoices.get(same) ?? estimatePattern(build, wool);
      byChoices.set(same, estimate);
      return [key, estimate];
    }),
  );
  return { groups, estimates };
}

/** Wool that a person may not touch, in what they are to make. */
export interface Avoided {
  readonly fibreId: string;
  readonly flags: readonly FibreFlag[];
}

/** Fibres of a build that have something a seat avoids. */
export function avoidedBy({ avoids }: Pick<Seat, 'avoids'>, build: Pattern, { fibres }: Wool): Avoided[] {
  if (avoids.length === 0) return [];
  const ids = new Set(
    [
      ...build.parts.flatMap(({ uses }) => uses.flatMap((use) => (isWool(use) ? [use.fibreId] : []))),
      ...build.joins.map(({ cover }) => cover?.fibreId ?? null),
    ].filter((id) => id !== null),
  );
  return [...ids].flatMap((fibreId) => {
    const flags = fibres.get(fibreId)?.flags.filter((flag) => avoids.includes(flag)) ?? [];
    return flags.length > 0 ? [{ fibreId, flags }] : [];
  });
}
