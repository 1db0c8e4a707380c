import type { Firmness } from '../fibre/index.ts';
import type { Shape } from '../shapes/index.ts';
import { byGauge } from '../needles/index.ts';
import { BLANK_STEP, BLANK_WRITING } from './blank.ts';
import type { Level, Part, Pattern } from './pattern.ts';
import type { Stage } from './stage.ts';
import type { PLAIN_ACTS, Step } from './step.ts';
import { blankUse } from './use.ts';

type PlainAct = (typeof PLAIN_ACTS)[number];

/** A part as the first format had it: one core, one coat. */
interface PartOfFirst {
  readonly id: string;
  readonly name: string;
  readonly shape: Shape;
  readonly count: number;
  readonly firmness: Firmness;
  readonly core: { readonly fibreId: string | null };
  readonly coat: { readonly fibreId: string | null } | null;
}

/** A step of the third format: its own needle was a gauge and nothing more. */
type StepOfThird = Omit<Step, 'needle'> & { readonly needle: NeedleOfThird };
type NeedleOfThird = { readonly by: 'stage' | 'none' } | { readonly by: 'gauge'; readonly gauge: number };

/** A document of the third: everything about the writing, a gauge for each stage. */
export type PatternOfThird = Omit<Pattern, 'formatVersion' | 'school' | 'stageNeedles' | 'steps'> & {
  readonly formatVersion: 3;
  readonly steps: readonly StepOfThird[];
  readonly stageNeedles: readonly { readonly stage: Stage; readonly gauge: number }[];
};

/** A step as the first two formats had it; no needle meant none. */
interface StepOfSecond {
  readonly id: string;
  readonly text: string;
  readonly partIds: string[];
  readonly stage: Stage;
  readonly needle: { readonly gauge: number } | null;
  readonly minutes: number | null;
}

type PartOfSecond = Omit<Part, 'exactness' | 'hides' | 'outlineRights'>;

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
  Pick<Pattern, 'joins' | 'joinsApart' | 'cuts' | 'findings' | 'shared'> & {
    readonly formatVersion: 2;
    readonly parts: readonly PartOfSecond[];
  };

export type PatternOfAnyFormat = Pattern | PatternOfThird | PatternOfSecond | PatternOfFirst;

/** Brings a stored document forward to the format of today; one that is there already comes back as it is. */
export function upgradePattern(document: PatternOfAnyFormat): Pattern {
  switch (document.formatVersion) {
    case 1:
      return fourthFrom(thirdFrom(secondFrom(document)));
    case 2:
      return fourthFrom(thirdFrom(document));
    case 3:
      return fourthFrom(document);
    case 4:
      return document;
  }
}

const secondFrom = (document: PatternOfFirst): PatternOfSecond => ({
  ...document,
  formatVersion: 2,
  parts: document.parts.map(upgradePart),
  joins: [],
  joinsApart: false,
  cuts: [],
  findings: [],
  shared: [],
});

/** A table of stages was the only school there was. */
const fourthFrom = (document: PatternOfThird): Pattern => ({
  ...document,
  formatVersion: 4,
  steps: document.steps.map((step) => ({ ...step, needle: upgradeNeedle(step.needle) })),
  school: { kind: 'own' },
  stageNeedles: document.stageNeedles.map(({ stage, gauge }) => ({ stage, needle: byGauge(gauge) })),
});

/** A needle as steps had it before a profile could be asked for; techniques are brought forward by it too. */
export const upgradeNeedle = (needle: NeedleOfThird | Step['needle']): Step['needle'] =>
  needle.by === 'gauge'
    ? { by: 'gauge', gauge: needle.gauge, profile: 'profile' in needle ? needle.profile : null }
    : needle.by === 'feel'
      ? needle
      : { by: needle.by };

const { school: _school, ...WRITING_OF_THIRD } = BLANK_WRITING;

const thirdFrom = (document: PatternOfSecond): PatternOfThird => ({
  ...document,
  ...WRITING_OF_THIRD,
  formatVersion: 3,
  levelReason: '',
  parts: document.parts.map((part) => ({ ...part, exactness: [], hides: '', outlineRights: null })),
  steps: document.steps.map(upgradeStep),
});

/** What the act is was not said: the stage tells it well enough to start from. */
const ACT_OF_STAGE: Readonly<Record<Stage, PlainAct>> = {
  skeleton: 'make',
  core: 'make',
  shape: 'make',
  coat: 'wrap',
  join: 'join',
  detail: 'make',
  hair: 'make',
  mount: 'join',
  finish: 'felt',
};

const upgradeStep = ({ needle, ...step }: StepOfSecond): StepOfThird => ({
  ...BLANK_STEP,
  ...step,
  act: { kind: ACT_OF_STAGE[step.stage] },
  needle: needle ? { by: 'gauge', gauge: needle.gauge } : { by: 'none' },
});

/** Ids of uses are the pattern’s own, not the part’s: amounts name one another. */
const useId = (partId: string, role: string): string => `${partId.slice(0, 34)}-${role}`;

const upgradePart = ({ core, coat, ...part }: PartOfFirst): PartOfSecond => ({
  ...part,
  derived: [],
  packing: null,
  uses: [
    blankUse(useId(part.id, 'core'), 'core', core.fibreId),
    ...(coat ? [blankUse(useId(part.id, 'coat'), 'coat', coat.fibreId)] : []),
  ],
  sample: null,
});
