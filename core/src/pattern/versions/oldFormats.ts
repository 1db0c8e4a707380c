import type { Shape } from '../../shapes/index.ts';
import type { Firmness } from '../../shelf/index.ts';
import type { Amount } from '../document/amount.ts';
import type { Cut } from '../document/cut.ts';
import type { Join } from '../document/join.ts';
import type { Swap } from '../document/option.ts';
import type { FindingUse, Level, Part, Pattern, SharedWeight, TechniqueUse } from '../document/pattern.ts';
import type { Stage } from '../document/stage.ts';
import type { PLAIN_ACTS, Step } from '../document/step.ts';
import type { Use } from '../document/use.ts';

export type PlainAct = (typeof PLAIN_ACTS)[number];

/** A part as the first format had it: one core, one coat. */
export interface PartOfFirst {
  readonly id: string;
  readonly name: string;
  readonly shape: Shape;
  readonly count: number;
  readonly firmness: Firmness;
  readonly core: { readonly fibreId: string | null };
  readonly coat: { readonly fibreId: string | null } | null;
}

/** A union without some fields, member by member. */
type Without<T, K extends PropertyKey> = T extends unknown ? Omit<T, K> : never;

/** An amount as the first four formats had it: of lengths no ranges, locks all alike. */
export type AmountOfFourth =
  | Without<Exclude<Amount, { form: 'locks' }>, 'highLength' | 'highWidth'>
  | { readonly form: 'locks'; readonly count: number | null; readonly eachG: number | null };
export type UseOfFourth = Without<UseOfSeventh, 'alsoSaid' | 'amount' | 'wordsSizeFraction'> & {
  readonly amount?: AmountOfFourth | null;
};
type PartOfFourth = Omit<
  PartOfSeventh,
  'uses' | 'sample' | 'margin' | 'thinLayers' | 'holdsThickness' | 'endsApart'
> & {
  readonly uses: readonly UseOfFourth[];
  readonly sample: Omit<NonNullable<Part['sample']>, 'sizeFraction'> | null;
};
type JoinOfFourth = Omit<JoinOfSeventh, 'looseEnd' | 'cover'> & {
  readonly cover: Omit<NonNullable<Join['cover']>, 'wordsSizeFraction'> | null;
  readonly looseEnd: Pick<NonNullable<Join['looseEnd']>, 'partId' | 'length'> | null;
};
type StepOfFourth = Omit<Step, 'areMinutesEach'>;

type TechniqueUseOfFifth = Omit<TechniqueUse, 'rights'> & { readonly credit: string };

/** A use, a join, a part, a finding as the first seven formats had them: nothing has a place. */
export type UseOfSeventh = Without<Use, 'placement'>;
type PartOfSeventh = Omit<Part, 'placement' | 'uses'> & { readonly uses: readonly UseOfSeventh[] };
type JoinOfSeventh = Omit<JoinOfNinth, 'placement' | 'slot'>;
type FindingUseOfSeventh = Omit<FindingUse, 'placement'>;

/** Something cut as the first ten formats had it: set on nothing. */
type CutOfTenth = Without<Cut, 'seat'>;

/** A document of the eleventh: it knows of no other pattern. */
export type PatternOfEleventh = Omit<Pattern, 'formatVersion' | 'series' | 'related'> & {
  readonly formatVersion: 11;
};

/** A document of the tenth: what is cut for a figure has no place on it. */
export type PatternOfTenth = Omit<PatternOfEleventh, 'formatVersion' | 'cuts' | 'meant'> & {
  readonly formatVersion: 10;
  readonly cuts: readonly CutOfTenth[];
};

/** A document of the ninth: joins as wide as what is set on is thick. */
export type PatternOfNinth = Omit<PatternOfTenth, 'formatVersion' | 'joins'> & {
  readonly formatVersion: 9;
  readonly joins: readonly JoinOfNinth[];
};
type JoinOfNinth = Omit<Join, 'acrossBy'>;

/** A document of the eighth: nothing is to stay in proportion or to go into anything, no step is drawn, nothing has a slot or a pose. */
export type PatternOfEighth = Omit<
  PatternOfNinth,
  'formatVersion' | 'poses' | 'proportions' | 'enclosures' | 'drawnStepIds' | 'joins'
> & {
  readonly formatVersion: 8;
  readonly joins: readonly Omit<JoinOfNinth, 'slot'>[];
};

/** A document of the seventh: pieces side by side. */
export type PatternOfSeventh = Omit<
  PatternOfEighth,
  'formatVersion' | 'parts' | 'joins' | 'findings' | 'stance'
> & {
  readonly formatVersion: 7;
  readonly parts: readonly PartOfSeventh[];
  readonly joins: readonly JoinOfSeventh[];
  readonly findings: readonly FindingUseOfSeventh[];
};

type SwapOfSixth = Omit<Swap, 'to'> & { readonly toItemId: string | null };

/** A document of the sixth: wool was swapped for wool, and a thing for a thing. */
export type PatternOfSixth = Omit<PatternOfSeventh, 'formatVersion' | 'swaps'> & {
  readonly formatVersion: 6;
  readonly swaps: readonly SwapOfSixth[];
};

/** A document of the fifth: one unit on paper, of a technique its credit alone. */
export type PatternOfFifth = Omit<PatternOfSixth, 'formatVersion' | 'showsBothUnits' | 'techniques'> & {
  readonly formatVersion: 5;
  readonly techniques: readonly TechniqueUseOfFifth[];
};

/** A document of the fourth: a number for every amount, minutes of all repeats together. */
export type PatternOfFourth = Omit<
  PatternOfFifth,
  'formatVersion' | 'parts' | 'joins' | 'steps' | 'shared' | 'grants' | 'weighedMakeG'
> & {
  readonly formatVersion: 4;
  readonly parts: readonly PartOfFourth[];
  readonly joins: readonly JoinOfFourth[];
  readonly steps: readonly StepOfFourth[];
  readonly shared: readonly Omit<SharedWeight, 'highG'>[];
};

/** A step of the third format: its own needle was a gauge and nothing more. */
export type StepOfThird = Omit<StepOfFourth, 'needle'> & { readonly needle: NeedleOfThird };
export type NeedleOfThird =
  { readonly by: 'stage' | 'none' } | { readonly by: 'gauge'; readonly gauge: number };

/** A document of the third: everything about the writing, a gauge for each stage. */
export type PatternOfThird = Omit<PatternOfFourth, 'formatVersion' | 'school' | 'stageNeedles' | 'steps'> & {
  readonly formatVersion: 3;
  readonly steps: readonly StepOfThird[];
  readonly stageNeedles: readonly { readonly stage: Stage; readonly gauge: number }[];
};

/** A step as the first two formats had it; no needle meant none. */
export interface StepOfSecond {
  readonly id: string;
  readonly text: string;
  readonly partIds: string[];
  readonly stage: Stage;
  readonly needle: { readonly gauge: number } | null;
  readonly minutes: number | null;
}

export type PartOfSecond = Omit<PartOfFourth, 'exactness' | 'hides' | 'outlineRights'>;

type Heading = Pick<Pattern, 'format' | 'title' | 'finishedHeight' | 'lengthUnit'> & {
  readonly level: Level;
  readonly steps: readonly StepOfSecond[];
};

/** A document of the first format. */
export type PatternOfFirst = Heading & {
  readonly formatVersion: 1;
  readonly parts: readonly PartOfFirst[];
};

/** A document of the second: layers, joins, cut lengths; steps that are a text and a needle. */
export type PatternOfSecond = Heading &
  Pick<PatternOfFourth, 'joins' | 'joinsApart' | 'cuts' | 'findings' | 'shared'> & {
    readonly formatVersion: 2;
    readonly parts: readonly PartOfSecond[];
  };
