import type { Join } from './join.ts';
import type { Option } from './option.ts';
import type { Part, Pattern } from './pattern.ts';
import { OWN_RIGHTS } from './rights.ts';
import type { Check, Step } from './step.ts';
import { blankUse } from './use.ts';

/** Everything about the writing, with nothing said yet. */
export const BLANK_WRITING = {
  links: [],
  school: { kind: 'own' },
  stageNeedles: [],
  sessions: [],
  techniques: [],
  tools: [],
  options: [],
  limits: [],
  slots: [],
  colourways: [],
  swaps: [],
  pictures: [],
  meant: [],
  prerequisites: '',
  series: null,
  related: [],
  sidesSeen: null,
  rights: OWN_RIGHTS,
  grants: [],
  weighedMakeG: null,
} satisfies Partial<Pattern>;

/** A pattern with nothing in it yet. */
export function blankPattern(title: string): Pattern {
  return {
    format: 'lanakit-pattern',
    formatVersion: 12,
    title,
    finishedHeight: null,
    level: null,
    levelReason: '',
    lengthUnit: 'mm',
    showsBothUnits: false,
    parts: [],
    stance: null,
    poses: [],
    proportions: [],
    enclosures: [],
    drawnStepIds: [],
    joins: [],
    joinsApart: false,
    cuts: [],
    findings: [],
    shared: [],
    steps: [],
    ...BLANK_WRITING,
  };
}

/** A new part: a ball of unknown size, firm, one of it, its fibre not chosen. */
export function blankPart(id: string, name: string): Part {
  return {
    id,
    name,
    shape: { kind: 'ball', diameter: null },
    derived: [],
    count: 1,
    firmness: 'firm',
    packing: null,
    margin: null,
    thinLayers: null,
    holdsThickness: false,
    endsApart: false,
    uses: [blankUse(`${id.slice(0, 34)}-core`, 'core')],
    sample: null,
    exactness: [],
    hides: '',
    placement: null,
    outlineRights: null,
  };
}

/** An end that stays loose, as long as is usual. */
export const blankLooseEnd = (partId: string): NonNullable<Join['looseEnd']> => ({
  partId,
  length: null,
  ends: 1,
  amount: null,
});

/** A new join: needled, as wide as the surfaces meet, with a loose end of what is set on, not covered. */
export const blankJoin = (id: string, partId: string, ontoId: string): Join => ({
  id,
  partId,
  ontoId,
  method: 'needled',
  count: null,
  looseEnd: blankLooseEnd(partId),
  across: null,
  acrossBy: 'contact',
  sink: null,
  slot: null,
  placement: null,
  cover: null,
});

/** A new step that goes on where `before` left off: same stage, needle and parts. */
export function blankStep(id: string, before: Step | undefined): Step {
  return {
    ...BLANK_STEP,
    id,
    partIds: before ? [...before.partIds] : [],
    stage: before?.stage ?? 'core',
    needle: before?.needle ?? { by: 'stage' },
  };
}

/** A step of which nothing is said. */
export const BLANK_STEP: Omit<Step, 'id'> = {
  text: '',
  readers: { kit: '', pattern: '' },
  act: { kind: 'make' },
  stage: 'core',
  place: null,
  partIds: [],
  joinIds: [],
  repeat: null,
  needle: { by: 'stage' },
  holder: null,
  stroke: null,
  depth: null,
  cue: '',
  minutes: null,
  areMinutesEach: true,
  waiting: null,
  checks: [],
  cautions: { added: [], dismissed: [] },
  pictures: [],
  recallsStepId: null,
  leaves: null,
  technique: null,
};

/** A check of which only the place is known. */
export const blankCheck = (id: string): Check => ({
  id,
  look: '',
  how: '',
  pass: '',
  remedy: '',
  returnToStepId: null,
});

/** An option with its two answers; an extra’s are yes and no. */
export const blankOption = (id: string, kind: Option['kind']): Option => ({
  id,
  name: '',
  kind,
  values:
    kind === 'extra'
      ? [
          { id: 'yes', name: 'yes', things: [] },
          { id: 'no', name: 'no', things: [] },
        ]
      : [
          { id: `${id}-1`, name: '', things: [] },
          { id: `${id}-2`, name: '', things: [] },
        ],
  defaultValueId: kind === 'extra' ? 'no' : `${id}-1`,
});
