import type { Join } from './join.ts';
import type { Part, Pattern, Step } from './pattern.ts';
import { blankUse } from './use.ts';

/** A pattern with nothing in it yet. */
export function blankPattern(title: string): Pattern {
  return {
    format: 'lanakit-pattern',
    formatVersion: 2,
    title,
    finishedHeight: null,
    level: 'first-timer',
    lengthUnit: 'mm',
    parts: [],
    joins: [],
    joinsApart: false,
    cuts: [],
    findings: [],
    shared: [],
    steps: [],
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
    uses: [blankUse(`${id.slice(0, 34)}-core`, 'core')],
    sample: null,
  };
}

/** A new join: needled, with a loose end of what is set on, not covered. */
export const blankJoin = (id: string, partId: string, ontoId: string): Join => ({
  id,
  partId,
  ontoId,
  method: 'needled',
  count: null,
  looseEnd: { partId, length: null },
  across: null,
  sink: null,
  cover: null,
});

/** A new step that goes on where `before` left off: same stage, needle and parts. */
export function blankStep(id: string, before: Step | undefined): Step {
  return {
    id,
    text: '',
    partIds: before ? [...before.partIds] : [],
    stage: before?.stage ?? 'core',
    needle: before?.needle ?? null,
    minutes: null,
  };
}
