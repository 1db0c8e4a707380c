import { resolveBuild } from '../../build/index.ts';
import type { Skill } from '../../needles/index.ts';
import { blankPattern, type Choices, NO_CHOICES, type Pattern } from '../../pattern/index.ts';
import { resizePattern } from '../../resize/index.ts';
import type { BoxRecipe } from '../document/boxRecipe.ts';
import { sparesOf } from '../document/packsOver.ts';
import { type RunInput } from '../document/run.ts';
import { seatsOf } from '../document/seat.ts';
import { choiceOfSeat, choicesKey, hasChoice, withSwaps } from '../who/choiceOfSeat.ts';
import { designsOfSeats } from '../who/designOfSeat.ts';
import { type StageSample, stageSamples } from './stageSamples.ts';

/** The patterns a run is pinned to, by revision. */
export type Designs = ReadonlyMap<string, Pattern>;

/** A pattern with the revision it is. */
type Design = readonly [revisionId: string, pattern: Pattern];

/** One design in a pack. */
export interface Make {
  readonly revisionId: string;
  /** As it was published. */
  readonly pattern: Pattern;
  readonly choices: Choices;
  /** Of the size as written, linear. */
  readonly sizeFraction: number;
  /** Its options resolved, in its size. */
  readonly build: Pattern;
  readonly copies: number;
}

/** Packs that are alike: those who make the same, and what is spare. */
export interface PackGroup {
  /** The same for the same contents. */
  readonly key: string;
  /** One in a class; in a box one for each of its designs. Empty only where nothing of its designs is left. */
  readonly makes: readonly Make[];
  /** Of its first make. */
  readonly choices: Choices;
  readonly build: Pattern;
  /** The recipe of its boxes; null in a class. */
  readonly recipe: BoxRecipe | null;
  /** How practised its seats are; null where that makes no difference to what is packed. */
  readonly skill: Skill | null;
  /** Numbers of seats or boxes, rising. */
  readonly seats: readonly number[];
  /** Seats among them that have not chosen. */
  readonly undecided: readonly number[];
  /** They get what everybody needs; the rest lies out for all of them. */
  readonly isOpen: boolean;
  readonly spares: number;
  readonly demonstrations: number;
  /** A piece half made, up to a step; null: a pack. */
  readonly sample: StageSample | null;
  /** Seats, spares and demonstrations. */
  readonly packs: number;
}

export type Roster = Pick<
  RunInput,
  | 'kind'
  | 'revisionId'
  | 'recipes'
  | 'seats'
  | 'sparePacks'
  | 'spareFraction'
  | 'demonstrations'
  | 'hasStageSamples'
  | 'undecidedChance'
  | 'swapIds'
  | 'roster'
  | 'skill'
  | 'wantedChance'
>;

/** A design with its choices made, in a size of its own: bought things stay what they are. */
function makeOf(
  [revisionId, pattern]: Design,
  choices: Choices,
  { sizeFraction = 1, copies = 1 }: { readonly sizeFraction?: number; readonly copies?: number } = {},
): Make {
  const build = resolveBuild(pattern, choices);
  return {
    revisionId,
    pattern,
    choices,
    sizeFraction,
    build: sizeFraction === 1 ? build : resizePattern(build, sizeFraction),
    copies,
  };
}

/** What tells whether two makes take the same. */
export const makeKey = ({
  revisionId,
  pattern,
  choices,
  sizeFraction,
}: Pick<Make, 'revisionId' | 'pattern' | 'choices' | 'sizeFraction'>): string =>
  `${revisionId} ${choicesKey(pattern, choices)} ${sizeFraction}`;

/** The packs of a run by what is in them, most first; boxes in the order of their recipes. */
export const packGroups = (designs: Designs, run: Roster): PackGroup[] =>
  run.kind === 'kits' ? boxGroups(designs, run) : seatGroups(designs, run);

/**
 * Who has not chosen, or has chosen what cannot be, gets the usual build, or, where colours are laid out for them, what
 * all builds have; who makes it in another size gets the usual one in theirs, as what is laid out is in the size as
 * written. Packed for a chance, those who stray more get more, so that skills go apart too.
 */
function seatGroups(designs: Designs, run: Roster): PackGroup[] {
  const leading = designs.get(run.revisionId);
  if (!leading) return [];
  const { groups, groupOf } = gathered(run);
  const designOf = designsOfSeats(designs, run);
  for (const seat of seatsOf(run)) {
    const design = designOf(seat) ?? ([run.revisionId, leading] as const);
    const [revisionId, pattern] = design;
    const choice = choiceOfSeat(pattern, seat);
    const isChosen = choice.kind === 'chosen';
    const { sizeFraction } = seat;
    // What is laid out for the undecided is of what the class makes.
    const isOfClass = revisionId === run.revisionId;
    const isOpen =
      !isChosen && isOfClass && hasChoice(pattern) && run.undecidedChance !== null && sizeFraction === 1;
    const group = groupOf(design, isChosen ? choice.choices : NO_CHOICES, seat.skill ?? run.skill, {
      sizeFraction,
      isOpen,
    });
    group.seats.push(seat.seat);
    if (!isChosen) group.undecided.push(seat.seat);
  }
  const usual = () => groupOf([run.revisionId, leading], NO_CHOICES, run.skill);
  const spares = sparesOf(run);
  if (spares > 0) usual().spares = spares;
  if (run.demonstrations > 0) usual().demonstrations = run.demonstrations;
  const packs = [...groups]
    .map(([key, { design, choices, sizeFraction, ...group }]): PackGroup => {
      const make = makeOf(design, choices, { sizeFraction });
      return {
        ...group,
        key,
        choices,
        build: make.build,
        makes: [make],
        recipe: null,
        sample: null,
        packs: group.seats.length + group.spares + group.demonstrations,
      };
    })
    .sort((a, b) => b.packs - a.packs || firstSeat(a) - firstSeat(b));
  return [...packs, ...(run.hasStageSamples ? sampleGroups(designs, run) : [])];
}

/** Groups as seats come to them, each by what is packed for it. */
function gathered(run: Roster) {
  const groups = new Map<string, Gathered>();
  const groupOf = (
    design: Design,
    chosen: Choices,
    skill: Skill,
    { sizeFraction = 1, isOpen = false } = {},
  ): Gathered => {
    const [revisionId, pattern] = design;
    const choices = withSwaps(pattern, chosen, run.swapIds);
    const groupSkill = run.wantedChance === null ? null : skill;
    const size = sizeFraction === 1 ? '' : ` ${sizeFraction} `;
    // Of what the class makes the key is what it was before seats had designs of their own: bought runs keep it.
    const other = revisionId === run.revisionId ? '' : `${revisionId} `;
    const key = `${other}${isOpen ? 'open' : ''}${choicesKey(pattern, choices)}${size}${groupSkill ?? ''}`;
    const group = groups.get(key) ?? {
      design,
      choices,
      sizeFraction,
      skill: groupSkill,
      isOpen,
      seats: [],
      undecided: [],
      spares: 0,
      demonstrations: 0,
    };
    groups.set(key, group);
    return group;
  };
  return { groups, groupOf };
}

/** What is only spare comes after everybody’s. */
const firstSeat = ({ seats }: Pick<PackGroup, 'seats'>): number => seats[0] ?? Number.MAX_SAFE_INTEGER;

/** Of each design that somebody makes. */
function sampleGroups(designs: Designs, run: Roster): PackGroup[] {
  const designOf = designsOfSeats(designs, run);
  const made = new Map(
    seatsOf(run).flatMap((seat) => {
      const design = designOf(seat);
      return design ? [design] : [];
    }),
  );
  return [...made].flatMap(([revisionId, pattern]) => {
    const choices = withSwaps(pattern, NO_CHOICES, run.swapIds);
    const make = makeOf([revisionId, pattern], choices);
    const { build } = make;
    return stageSamples(build).map((sample): PackGroup => ({
      key: `sample ${revisionId === run.revisionId ? '' : `${revisionId} `}${sample.stepId}`,
      makes: [make],
      choices,
      build,
      recipe: null,
      skill: run.wantedChance === null ? null : run.skill,
      seats: [],
      undecided: [],
      isOpen: false,
      spares: 0,
      demonstrations: 0,
      sample,
      packs: 1,
    }));
  });
}

function boxGroups(designs: Designs, run: Roster): PackGroup[] {
  let number = 0;
  return run.recipes.map((recipe): PackGroup => {
    const makes = recipe.designs.flatMap(({ revisionId, copies, choices: chosen }): Make[] => {
      const pattern = designs.get(revisionId);
      if (!pattern) return [];
      const choice = choiceOfSeat(pattern, { choices: chosen });
      const choices = choice.kind === 'chosen' ? choice.choices : NO_CHOICES;
      return [makeOf([revisionId, pattern], withSwaps(pattern, choices, run.swapIds), { copies })];
    });
    const seats = Array.from({ length: Math.max(0, Math.floor(recipe.boxes)) }, () => (number += 1));
    return {
      key: `box ${recipe.id}`,
      makes,
      choices: makes[0]?.choices ?? NO_CHOICES,
      build: makes[0]?.build ?? blankPattern(''),
      recipe,
      skill: run.wantedChance === null ? null : run.skill,
      seats,
      undecided: [],
      isOpen: false,
      spares: recipe.spares,
      demonstrations: 0,
      sample: null,
      packs: recipe.boxes + recipe.spares,
    };
  });
}

interface Gathered {
  readonly design: Design;
  readonly choices: Choices;
  readonly sizeFraction: number;
  readonly skill: Skill | null;
  readonly isOpen: boolean;
  readonly seats: number[];
  readonly undecided: number[];
  spares: number;
  demonstrations: number;
}

/**
 * The packs of a design that a sheet is for: those of the first group that has it; half-made ones are no packs of it.
 * @param numbers of the seats or boxes; none: every pack of this make
 */
export function groupOfMake(
  groups: readonly PackGroup[],
  make: Make,
  numbers: readonly number[],
): PackGroup | undefined {
  const key = makeKey(make);
  return groups.find(
    ({ sample, makes, seats }) =>
      !sample &&
      makes.some((candidate) => makeKey(candidate) === key) &&
      (numbers.length === 0 || seats.some((seat) => numbers.includes(seat))),
  );
}
