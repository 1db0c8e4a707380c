import { checkRange, checkWhole, Id, isCalendarDate, oneOf, orUnknown, strict } from '../../base/index.ts';
import { KIT_DEFAULTS, SKILLS } from '../../needles/index.ts';
import { SpareRule } from '../../shelf/index.ts';
import { SHORT_FRACTION } from '../portions/classNeeds.ts';
import { BoxRecipe } from './boxRecipe.ts';
import { BLANK_PLAN, checkPlan, ClassPlan } from './classPlan.ts';
import type { RunProblem } from './problem.ts';
import type { RunState } from './runState.ts';
import { blankSeat, Seat } from './seat.ts';
import { Type, type Static } from '@sinclair/typebox';

const RUN_KINDS = ['class', 'kits'] as const;
export type RunKind = (typeof RUN_KINDS)[number];

/** How the wool of a pack is parted into bags. */
export const BAGGINGS = ['one', 'stage', 'session', 'colour', 'part', 'own'] as const;
export type Bagging = (typeof BAGGINGS)[number];

/** The most that may be wanted, or the middle of it. */
export const RANGE_ENDS = ['top', 'middle'] as const;

/** What a bag of the maker's own making holds: parts and joins of designs. */
export const OwnBag = Type.Object(
  {
    id: Id,
    name: Type.String({ maxLength: 60 }),
    places: Type.Array(Type.Object({ revisionId: Id, id: Id }, strict), { maxItems: 400 }),
  },
  strict,
);
export type OwnBag = Static<typeof OwnBag>;

/** What the maker's own time costs, and what is to be left over. */
export const CostTerms = Type.Object(
  {
    /** Integer minor units; null: time is not reckoned. */
    hourlyWageMinor: orUnknown(Type.Integer({ minimum: 0, maximum: 1_000_000 })),
    /** Of the price: 0.3 leaves three tenths. */
    marginFraction: Type.Number(),
    secondsPerPortion: Type.Number(),
    minutesPerPack: Type.Number(),
    /** Once for the whole run: setting out, printing, clearing away. */
    fixedMinutes: Type.Number(),
  },
  strict,
);
export type CostTerms = Static<typeof CostTerms>;

/** A class or a batch of kits, as it is planned. */
export const RunInput = Type.Object(
  {
    kind: oneOf(RUN_KINDS),
    name: Type.String({ maxLength: 120 }),
    date: Type.String({ maxLength: 10, description: 'calendar date, YYYY-MM-DD' }),
    /** People; of kits: boxes, as their recipes say. */
    seats: Type.Number(),
    sparePacks: Type.Number(),
    /** Instead of a number, a share of the seats; null: the number. */
    spareFraction: orUnknown(Type.Number()),
    /** What a class makes; of kits: the first design of the first box. */
    revisionId: Type.String({ minLength: 1, maxLength: 40 }),
    /** Sorts of box; none in a class. */
    recipes: Type.Array(BoxRecipe, { maxItems: 24 }),
    scaleStepG: Type.Number({ description: 'what the scale reads to, grams' }),
    extraFraction: Type.Number({ description: 'packed over the likely amount; 0.1 is a tenth more' }),
    /** Off the shelf over what is weighed: what sticks and flies. */
    weighingLossFraction: Type.Number(),
    seatsPerTable: Type.Number(),
    /** How steady the hands are, for needles that break. */
    skill: oneOf(SKILLS),
    needleRiskFraction: Type.Number({ description: 'chance that any sort of needle runs out' }),
    /** That nobody in the class is short of anything, or that a box suffices. Null: the plain percentage. */
    wantedChance: orUnknown(Type.Number()),
    /** Wanting up to so much more than is there is not called short. */
    toleranceFraction: Type.Number(),
    /** Of an amount its author states from – to, which end is packed. */
    rangesAt: oneOf(RANGE_ENDS),
    /** Packs smaller, and a bag for all to come to, for the same chance. Null: each pack alone. */
    toBagFraction: orUnknown(Type.Number({ description: 'of learners who may have to come to the bag' })),
    /** Seats of which something is said, in their order. */
    roster: Type.Array(Seat, { maxItems: 200 }),
    /** Until when seats choose; null: nobody is asked by a day. */
    chooseBy: orUnknown(Type.String({ maxLength: 10 })),
    /** Colours for who has not chosen, so that there is enough with this chance. Null: the usual build for them. */
    undecidedChance: orUnknown(Type.Number()),
    /** Permitted swaps that everybody gets. */
    swapIds: Type.Array(Id, { maxItems: 60 }),
    /** Spares of findings said otherwise than on the shelf. */
    findingSpares: Type.Array(Type.Object({ findingId: Id, rule: SpareRule }, strict), { maxItems: 60 }),
    demonstrations: Type.Number(),
    /** A half-made piece for each place where the pattern jumps. */
    hasStageSamples: Type.Boolean(),
    bagging: oneOf(BAGGINGS),
    ownBags: Type.Array(OwnBag, { maxItems: 24 }),
    /** In a box of several designs: the wool of each in bags of its own. */
    isBaggedByDesign: Type.Boolean(),
    /** Why it goes on without a permission. */
    rightsReason: Type.String({ maxLength: 400 }),
    cost: CostTerms,
    /** When a class is, and how its time is used. */
    plan: ClassPlan,
    /** So many days after its last sitting learners may open the pattern of their pack by its code. Null: not at all. */
    learnerDays: orUnknown(Type.Number()),
  },
  strict,
);
export type RunInput = Static<typeof RunInput>;

export interface Run extends RunInput {
  readonly id: string;
  readonly version: number;
  readonly state: RunState;
}

export const RUN_BOUNDS = {
  seats: { min: 1, max: 200 },
  boxes: { min: 1, max: 500 },
  sparePacks: { min: 0, max: 50 },
  spareFraction: { min: 0, max: 1 },
  scaleStepG: { min: 0.001, max: 10 },
  extraFraction: { min: 0, max: 1 },
  weighingLossFraction: { min: 0, max: 0.2 },
  seatsPerTable: { min: 1, max: 50 },
  needleRiskFraction: { min: 0.001, max: 0.5 },
  wantedChance: { min: 0.5, max: 0.99 },
  toBagFraction: { min: 0.02, max: 0.5 },
  toleranceFraction: { min: 0, max: 0.3 },
  demonstrations: { min: 0, max: 10 },
  sizeFraction: { min: 0.25, max: 4 },
  marginFraction: { min: 0, max: 0.9 },
  secondsPerPortion: { min: 0, max: 600 },
  minutesPerPack: { min: 0, max: 120 },
  fixedMinutes: { min: 0, max: 6000 },
  learnerDays: { min: 0, max: 400 },
} as const;

/** The chance a class is packed for, unless another is asked; and kits by post, which nobody can add to. */
export const WANTED_CHANCE = 0.95;
export const WANTED_CHANCE_OF_BOX = 0.98;

/** A quarter of the learners may have to come to the spare bag. */
export const TO_BAG_FRACTION = 0.25;

/** Ours, all of them to be set otherwise. */
export const COST_DEFAULTS: CostTerms = {
  hourlyWageMinor: null,
  marginFraction: 0.3,
  secondsPerPortion: 30,
  minutesPerPack: 4,
  fixedMinutes: 45,
};

export const RUN_DEFAULTS = {
  kind: 'class' as RunKind,
  seats: 8,
  sparePacks: 1,
  spareFraction: null as number | null,
  recipes: [] as BoxRecipe[],
  scaleStepG: 0.1,
  extraFraction: 0.1,
  weighingLossFraction: 0,
  seatsPerTable: KIT_DEFAULTS.seatsPerTable,
  skill: KIT_DEFAULTS.skill,
  needleRiskFraction: KIT_DEFAULTS.riskFraction,
  wantedChance: null as number | null,
  toBagFraction: null as number | null,
  toleranceFraction: SHORT_FRACTION,
  rangesAt: 'top' as (typeof RANGE_ENDS)[number],
  roster: [] as Seat[],
  chooseBy: null as string | null,
  undecidedChance: null as number | null,
  swapIds: [] as string[],
  findingSpares: [] as RunInput['findingSpares'],
  demonstrations: 0,
  hasStageSamples: false,
  bagging: 'one' as Bagging,
  ownBags: [] as OwnBag[],
  isBaggedByDesign: false,
  rightsReason: '',
  cost: COST_DEFAULTS,
  plan: BLANK_PLAN,
  learnerDays: null as number | null,
} as const;

/** How a new run is packed unless its maker says otherwise: a class with a spare bag for all, a box by post by itself. */
export const usualTerms = (kind: RunKind): Pick<RunInput, 'wantedChance' | 'toBagFraction'> =>
  kind === 'class'
    ? { wantedChance: WANTED_CHANCE, toBagFraction: TO_BAG_FRACTION }
    : { wantedChance: WANTED_CHANCE_OF_BOX, toBagFraction: null };

/** What a Lanakit that knew less of runs and seats has kept, with what is usual for all it did not know. */
export const runOfToday = (kept: Partial<RunInput>): RunInput =>
  ({
    ...RUN_DEFAULTS,
    ...kept,
    plan: { ...BLANK_PLAN, ...kept.plan },
    recipes: (kept.recipes ?? []).map((recipe) => ({
      ...recipe,
      needlesLeftOut: recipe.needlesLeftOut ?? [],
    })),
    roster: (kept.roster ?? []).map((seat) => ({ ...blankSeat(seat.seat), ...seat })),
  }) as RunInput;

/** A run whose sums say what its recipes say: boxes, spares, the design it leads with. */
export function withBoxesCounted<R extends RunInput>(run: R): R {
  if (run.kind === 'class') return run;
  const [first] = run.recipes.flatMap(({ designs }) => designs);
  return {
    ...run,
    seats: run.recipes.reduce((sum, { boxes }) => sum + boxes, 0),
    sparePacks: run.recipes.reduce((sum, { spares }) => sum + spares, 0),
    spareFraction: null,
    revisionId: first?.revisionId ?? run.revisionId,
    roster: [],
  };
}

/** Every revision a run is pinned to, each once, the leading one first. */
export const revisionsOfRun = ({ kind, revisionId, recipes, roster }: RunInput): string[] => [
  ...new Set([
    revisionId,
    ...(kind === 'kits'
      ? recipes.flatMap(({ designs }) => designs.map((design) => design.revisionId))
      : roster.flatMap((seat) => seat.revisionId ?? [])),
  ]),
];

/** The run with one revision in the place of another, wherever it is pinned to it. */
export function withRevision<R extends RunInput>(run: R, from: string, to: string): R {
  const moved = (id: string) => (id === from ? to : id);
  return {
    ...run,
    revisionId: moved(run.revisionId),
    roster: run.roster.map((seat) => ({ ...seat, revisionId: seat.revisionId && moved(seat.revisionId) })),
    plan: {
      ...run.plan,
      elsewhere: run.plan.elsewhere.map((each) => ({ ...each, revisionId: moved(each.revisionId) })),
    },
    recipes: run.recipes.map((recipe) => ({
      ...recipe,
      designs: recipe.designs.map((design) => ({ ...design, revisionId: moved(design.revisionId) })),
    })),
  };
}

/** Why a run may not be stored as it is. */
export function checkRun(run: RunInput): RunProblem[] {
  return [
    ...(run.name.trim() === '' ? [{ code: 'title_empty', pointer: '/name' } as const] : []),
    ...checkDay(run.date, '/date'),
    ...(run.kind === 'class' ? checkClass(run) : checkBoxes(run)),
    ...checkRange(run.scaleStepG, RUN_BOUNDS.scaleStepG, '/scaleStepG'),
    ...checkRange(run.extraFraction, RUN_BOUNDS.extraFraction, '/extraFraction'),
    ...checkRange(run.weighingLossFraction, RUN_BOUNDS.weighingLossFraction, '/weighingLossFraction'),
    ...checkWhole(run.seatsPerTable, RUN_BOUNDS.seatsPerTable, '/seatsPerTable'),
    ...checkRange(run.needleRiskFraction, RUN_BOUNDS.needleRiskFraction, '/needleRiskFraction'),
    ...checkIfSaid(run.wantedChance, RUN_BOUNDS.wantedChance, '/wantedChance'),
    ...checkRange(run.toleranceFraction, RUN_BOUNDS.toleranceFraction, '/toleranceFraction'),
    ...checkIfSaid(run.toBagFraction, RUN_BOUNDS.toBagFraction, '/toBagFraction'),
    ...checkIfSaid(run.undecidedChance, RUN_BOUNDS.wantedChance, '/undecidedChance'),
    ...checkWhole(run.demonstrations, RUN_BOUNDS.demonstrations, '/demonstrations'),
    ...checkIfSaid(run.learnerDays, RUN_BOUNDS.learnerDays, '/learnerDays'),
    ...checkCost(run.cost),
    ...(run.kind === 'class' ? checkPlan(run.plan, run.date) : []),
  ];
}

const checkIfSaid = (
  value: number | null,
  bounds: { min: number; max: number },
  pointer: string,
): RunProblem[] => (value === null ? [] : checkRange(value, bounds, pointer));

const checkDay = (date: string, pointer: string): RunProblem[] =>
  isCalendarDate(date) ? [] : [{ code: 'date_not_read', pointer, text: date }];

const isAfter = (day: string | null, other: string): boolean =>
  day !== null && isCalendarDate(day) && isCalendarDate(other) && day > other;

function checkClass(run: RunInput): RunProblem[] {
  return [
    ...checkWhole(run.seats, RUN_BOUNDS.seats, '/seats'),
    ...checkWhole(run.sparePacks, RUN_BOUNDS.sparePacks, '/sparePacks'),
    ...checkIfSaid(run.spareFraction, RUN_BOUNDS.spareFraction, '/spareFraction'),
    ...(run.chooseBy === null ? [] : checkDay(run.chooseBy, '/chooseBy')),
    ...(isAfter(run.chooseBy, run.date)
      ? [{ code: 'choose_by_late', pointer: '/chooseBy', date: run.date } as const]
      : []),
    ...checkRoster(run),
  ];
}

/** Every seat is one of the class’s, is told of once, and makes it in a size that can be made. */
function checkRoster({ roster, seats }: RunInput): RunProblem[] {
  const seen = new Set<number>();
  const keys = new Set<string>();
  return roster.flatMap(({ seat, key, sizeFraction }, index): RunProblem[] => {
    const pointer = `/roster/${index}/seat`;
    const isTwice = seen.has(seat) || keys.has(key);
    seen.add(seat);
    keys.add(key);
    return [
      ...(seat > seats ? [{ code: 'seat_beyond', pointer, seat, seats } as const] : []),
      ...(seat <= seats && isTwice ? [{ code: 'seat_twice', pointer, seat } as const] : []),
      ...checkRange(sizeFraction, RUN_BOUNDS.sizeFraction, `/roster/${index}/sizeFraction`),
    ];
  });
}

function checkBoxes({ recipes, roster }: RunInput): RunProblem[] {
  if (recipes.length === 0) return [{ code: 'boxes_missing', pointer: '/recipes' }];
  const boxes = recipes.reduce((sum, recipe) => sum + recipe.boxes, 0);
  const { max } = RUN_BOUNDS.boxes;
  return [
    // Nobody sits at a box.
    ...(roster.length > 0 ? [{ code: 'boxes_have_no_seats', pointer: '/roster' } as const] : []),
    ...recipes.flatMap((recipe, at): RunProblem[] => [
      ...(recipe.name.trim() === ''
        ? [{ code: 'title_empty', pointer: `/recipes/${at}/name` } as const]
        : []),
      ...checkWhole(recipe.boxes, RUN_BOUNDS.boxes, `/recipes/${at}/boxes`),
      ...checkWhole(recipe.spares, RUN_BOUNDS.sparePacks, `/recipes/${at}/spares`),
      ...(recipe.designs.length === 0
        ? [{ code: 'box_empty', pointer: `/recipes/${at}/designs` } as const]
        : []),
    ]),
    ...(boxes > max
      ? [{ code: 'number_out_of_range', pointer: '/recipes', value: boxes, min: 1, max } as const]
      : []),
  ];
}

const checkCost = (cost: CostTerms): RunProblem[] =>
  (['marginFraction', 'secondsPerPortion', 'minutesPerPack', 'fixedMinutes'] as const).flatMap((key) =>
    checkRange(cost[key], RUN_BOUNDS[key], `/cost/${key}`),
  );
