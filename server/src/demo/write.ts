import type { Length, Part, Pattern, Stage, Step } from '@lanakit/core';

/** Looks a demo fibre's id up by its key. */
export type FibreKey = (key: string) => string;

const size = (valueMm: number): Length => ({ value: valueMm, unit: 'mm' });

export const shapes = {
  ball: (diameter: number): Part['shape'] => ({ kind: 'ball', diameter: size(diameter) }),
  ellipsoid: (length: number, width: number, height: number): Part['shape'] => ({
    kind: 'ellipsoid',
    length: size(length),
    width: size(width),
    height: size(height),
  }),
  egg: (length: number, diameter: number, widestAtFraction = 0.4): Part['shape'] => ({
    kind: 'egg',
    length: size(length),
    diameter: size(diameter),
    widestAtFraction,
  }),
  limb: (length: number, diameter: number): Part['shape'] => ({
    kind: 'limb',
    length: size(length),
    diameter: size(diameter),
  }),
  taper: (length: number, thickEnd: number, thinEnd: number): Part['shape'] => ({
    kind: 'taper',
    length: size(length),
    thickEnd: size(thickEnd),
    thinEnd: size(thinEnd),
  }),
  flat: (length: number, width: number, thickness: number): Part['shape'] => ({
    kind: 'flat-ellipse',
    length: size(length),
    width: size(width),
    thickness: size(thickness),
  }),
};

/** A part; its id is made from its name. */
export function part(
  name: string,
  shape: Part['shape'],
  core: string | null,
  more: { coat?: string; count?: number; firmness?: Part['firmness'] } = {},
): Part {
  return {
    id: idOf(name),
    name,
    shape,
    count: more.count ?? 1,
    firmness: more.firmness ?? 'firm',
    core: { fibreId: core },
    coat: more.coat === undefined ? null : { fibreId: more.coat },
  };
}

export type StepRow = readonly [
  text: string,
  parts: readonly string[],
  stage: Stage,
  gauge: number | null,
  minutes: number | null,
];

/** A pattern from its parts and rows of steps that name their parts. */
export function pattern(
  heading: Pick<Pattern, 'title' | 'level'> & { heightMm: number | null },
  parts: Part[],
  rows: readonly StepRow[],
): Pattern {
  return {
    format: 'lanakit-pattern',
    formatVersion: 1,
    title: heading.title,
    level: heading.level,
    finishedHeight: heading.heightMm === null ? null : size(heading.heightMm),
    lengthUnit: 'mm',
    parts,
    steps: rows.map(stepOf),
  };
}

const stepOf = ([text, parts, stage, gauge, minutes]: StepRow, index: number): Step => ({
  id: `step-${index + 1}`,
  text,
  partIds: parts.map(idOf),
  stage,
  needle: gauge === null ? null : { gauge },
  minutes,
});

const idOf = (name: string): string => name.toLowerCase().replaceAll(/[^a-z0-9]+/g, '-');
