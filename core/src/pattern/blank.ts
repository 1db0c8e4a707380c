import type { Part, Pattern, Step } from './pattern.ts';

/** A pattern with nothing in it yet. */
export function blankPattern(title: string): Pattern {
  return {
    format: 'lanakit-pattern',
    formatVersion: 1,
    title,
    finishedHeight: null,
    level: 'first-timer',
    lengthUnit: 'mm',
    parts: [],
    steps: [],
  };
}

/** A new part: a ball of unknown size, firm, one of it, its fibre not chosen. */
export function blankPart(id: string, name: string): Part {
  return {
    id,
    name,
    shape: { kind: 'ball', diameter: null },
    count: 1,
    firmness: 'firm',
    core: { fibreId: null },
    coat: null,
  };
}

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
