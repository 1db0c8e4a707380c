import { byGauge } from '../../shelf/index.ts';
import type { Amount } from '../document/amount.ts';
import { BLANK_STEP, BLANK_WRITING } from '../document/blank.ts';
import type { Cut } from '../document/cut.ts';
import type { Swap } from '../document/option.ts';
import type { Pattern } from '../document/pattern.ts';
import { OWN_RIGHTS } from '../document/rights.ts';
import type { Stage } from '../document/stage.ts';
import type { Step } from '../document/step.ts';
import { blankUse, isWool, type Use, type WoolUse } from '../document/use.ts';

import type {
  PlainAct,
  PartOfFirst,
  AmountOfFourth,
  UseOfFourth,
  UseOfSeventh,
  PatternOfEleventh,
  PatternOfTenth,
  PatternOfNinth,
  PatternOfEighth,
  PatternOfSeventh,
  PatternOfSixth,
  PatternOfFifth,
  PatternOfFourth,
  StepOfThird,
  NeedleOfThird,
  PatternOfThird,
  StepOfSecond,
  PartOfSecond,
  PatternOfFirst,
  PatternOfSecond,
} from './oldFormats.ts';

export type PatternOfAnyFormat =
  | Pattern
  | PatternOfEleventh
  | PatternOfTenth
  | PatternOfNinth
  | PatternOfEighth
  | PatternOfSeventh
  | PatternOfSixth
  | PatternOfFifth
  | PatternOfFourth
  | PatternOfThird
  | PatternOfSecond
  | PatternOfFirst;

/** Brings a stored document forward to the format of today; one that is there already comes back as it is. */
export function upgradePattern(document: PatternOfAnyFormat): Pattern {
  switch (document.formatVersion) {
    case 1:
      return upgradePattern(secondFrom(document));
    case 2:
      return upgradePattern(thirdFrom(document));
    case 3:
      return upgradePattern(fourthFrom(document));
    case 4:
      return upgradePattern(fifthFrom(document));
    case 5:
      return upgradePattern(sixthFrom(document));
    case 6:
      return upgradePattern(seventhFrom(document));
    case 7:
      return upgradePattern(eighthFrom(document));
    case 8:
      return upgradePattern(ninthFrom(document));
    case 9:
      return upgradePattern(tenthFrom(document));
    case 10:
      return upgradePattern(eleventhFrom(document));
    case 11:
      return { ...document, formatVersion: 12, series: null, related: [] };
    case 12:
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
const fourthFrom = (document: PatternOfThird): PatternOfFourth => ({
  ...document,
  formatVersion: 4,
  steps: document.steps.map((step) => ({ ...step, needle: upgradeNeedle(step.needle) })),
  school: { kind: 'own' },
  stageNeedles: document.stageNeedles.map(({ stage, gauge }) => ({ stage, needle: byGauge(gauge) })),
});

/** What nobody could say was what is usual: ends within a stated amount, one at a time, minutes of all repeats together. */
const fifthFrom = (document: PatternOfFourth): PatternOfFifth => ({
  ...document,
  formatVersion: 5,
  parts: document.parts.map((part) => ({
    ...part,
    margin: null,
    thinLayers: null,
    holdsThickness: false,
    endsApart: false,
    uses: part.uses.map(upgradeUse),
    sample: part.sample && { ...part.sample, sizeFraction: 1 },
  })),
  joins: document.joins.map(({ looseEnd, cover, ...join }) => ({
    ...join,
    cover: cover && { ...cover, wordsSizeFraction: 1 },
    looseEnd: looseEnd && { ...looseEnd, ends: 1, amount: null },
  })),
  steps: document.steps.map(upgradeMinutes),
  shared: document.shared.map((weight) => ({ ...weight, highG: null })),
  grants: [],
  weighedMakeG: null,
});

/** Whose a technique is was kept with the technique alone; a credit says that it is not one’s own. */
const sixthFrom = (document: PatternOfFifth): PatternOfSixth => ({
  ...document,
  formatVersion: 6,
  showsBothUnits: false,
  techniques: document.techniques.map(({ credit, ...use }) => ({
    ...use,
    rights: { ...OWN_RIGHTS, origin: credit.trim() === '' ? 'own' : 'unknown', credit },
  })),
});

/** What is taken was an id, and what it stood for told of what sort it is. */
const seventhFrom = (document: PatternOfSixth): PatternOfSeventh => ({
  ...document,
  formatVersion: 7,
  swaps: document.swaps.map(({ toItemId, ...swap }) => ({
    ...swap,
    to: isOfWool(swap.of, document)
      ? { kind: 'fibre', fibreId: toItemId }
      : { kind: 'finding', findingId: toItemId },
  })),
});

function isOfWool(of: Swap['of'], { parts }: PatternOfSixth): boolean {
  if (of.kind !== 'use') return of.kind === 'join';
  const use = parts.flatMap(({ uses }) => uses).find(({ id }) => id === of.id);
  return use !== undefined && isWool(use as Use);
}

/** Nobody has said where any sits. */
const eleventhFrom = (document: PatternOfTenth): PatternOfEleventh => ({
  ...document,
  formatVersion: 11,
  meant: [],
  cuts: document.cuts.map((cut): Cut => ({ ...cut, seat: null })),
});

/** What was weighed out by it stays as it was. */
const tenthFrom = (document: PatternOfNinth): PatternOfTenth => ({
  ...document,
  formatVersion: 10,
  joins: document.joins.map((join) => ({ ...join, acrossBy: 'thickness' })),
});

/** Nobody has said any. */
const ninthFrom = (document: PatternOfEighth): PatternOfNinth => ({
  ...document,
  formatVersion: 9,
  poses: [],
  proportions: [],
  enclosures: [],
  drawnStepIds: [],
  joins: document.joins.map((join) => ({ ...join, slot: null })),
});

/** Nobody has said where anything sits. */
const eighthFrom = (document: PatternOfSeventh): PatternOfEighth => ({
  ...document,
  formatVersion: 8,
  stance: null,
  parts: document.parts.map((part) => ({ ...part, placement: null, uses: part.uses.map(placeless) })),
  joins: document.joins.map((join) => ({ ...join, placement: null })),
  findings: document.findings.map((finding) => ({ ...finding, placement: null })),
});

const PLACED_ROLES = new Set<Use['role']>(['coat', 'patch', 'line', 'dot', 'hair']);

const placeless = (use: UseOfSeventh): Use =>
  (PLACED_ROLES.has(use.role) ? { ...use, placement: null } : use) as Use;

/** A step as it was timed before its minutes could be each repeat’s; techniques are brought forward by it too. */
export const upgradeMinutes = <S extends object>(step: S): S & { areMinutesEach: boolean } => ({
  areMinutesEach: false,
  ...step,
});

function upgradeUse(use: UseOfFourth): Use {
  if (!('amount' in use)) return use as Use;
  const { amount = null, ...rest } = use;
  return { ...rest, amount: amount && upgradeAmount(amount), alsoSaid: [], wordsSizeFraction: 1 } as Use;
}

function upgradeAmount(amount: AmountOfFourth): Amount {
  switch (amount.form) {
    case 'tops':
      return { ...amount, highLength: null };
    case 'strip':
      return { ...amount, highLength: null, highWidth: null };
    case 'locks':
      return { form: 'locks', grades: [{ name: '', count: amount.count, eachG: amount.eachG }] };
    default:
      return amount;
  }
}

/** A needle as steps had it before a profile could be asked for; techniques are brought forward by it too. */
export const upgradeNeedle = (needle: NeedleOfThird | Step['needle']): Step['needle'] =>
  needle.by === 'gauge'
    ? { by: 'gauge', gauge: needle.gauge, profile: 'profile' in needle ? needle.profile : null }
    : needle.by === 'feel'
      ? needle
      : { by: needle.by };

const {
  school: _school,
  grants: _grants,
  weighedMakeG: _weighed,
  meant: _meant,
  ...WRITING_OF_THIRD
} = BLANK_WRITING;
const { areMinutesEach: _each, ...STEP_OF_SECOND } = BLANK_STEP;

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
  ...STEP_OF_SECOND,
  ...step,
  act: { kind: ACT_OF_STAGE[step.stage] },
  needle: needle ? { by: 'gauge', gauge: needle.gauge } : { by: 'none' },
});

/** Ids of uses are the pattern’s own, not the part’s: amounts name one another. */
const useId = (partId: string, role: string): string => `${partId.slice(0, 34)}-${role}`;

function useOfSecond(partId: string, role: 'core' | 'coat', fibreId: string | null): UseOfFourth {
  const {
    alsoSaid: _also,
    wordsSizeFraction: _size,
    ...use
  } = blankUse(useId(partId, role), role, fibreId) as WoolUse;
  return use as UseOfFourth;
}

const upgradePart = ({ core, coat, ...part }: PartOfFirst): PartOfSecond => ({
  ...part,
  derived: [],
  packing: null,
  uses: [
    useOfSecond(part.id, 'core', core.fibreId),
    ...(coat ? [useOfSecond(part.id, 'coat', coat.fibreId)] : []),
  ],
  sample: null,
});
