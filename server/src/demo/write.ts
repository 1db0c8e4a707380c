import {
  type Amount,
  blankCut,
  blankJoin,
  blankPart,
  blankPattern,
  blankUse,
  type Cut,
  type FindingUse,
  type Join,
  type Length,
  type Part,
  type Pattern,
  type SharedWeight,
  type Stage,
  type Step,
  type Use,
  type UseOf,
  type UseRole,
} from '@lanakit/core';

/** What the demo shelf holds, by key or name. */
export interface DemoShelf {
  readonly fibre: (key: string) => string;
  readonly finding: (name: string) => string;
}

export const size = (valueMm: number): Length => ({ value: valueMm, unit: 'mm' });

export const idOf = (name: string): string => name.toLowerCase().replaceAll(/[^a-z0-9]+/g, '-');

type Shape = Part['shape'];

export const shapes = {
  ball: (diameter: number): Shape => ({ kind: 'ball', diameter: size(diameter) }),
  ellipsoid: (length: number, width: number, height: number): Shape => ({
    kind: 'ellipsoid',
    length: size(length),
    width: size(width),
    height: size(height),
  }),
  egg: (length: number, diameter: number, widestAtFraction = 0.4): Shape => ({
    kind: 'egg',
    length: size(length),
    diameter: size(diameter),
    widestAtFraction,
  }),
  limb: (length: number, diameter: number): Shape => ({
    kind: 'limb',
    length: size(length),
    diameter: size(diameter),
  }),
  taper: (length: number, thickEnd: number, thinEnd: number): Shape => ({
    kind: 'taper',
    length: size(length),
    thickEnd: size(thickEnd),
    thinEnd: size(thinEnd),
  }),
  coil: (length: number, thickEnd: number, thinEnd: number): Shape => ({
    kind: 'coil',
    length: size(length),
    thickEnd: size(thickEnd),
    thinEnd: size(thinEnd),
  }),
  sleeve: (length: number, diameter: number, wire: number): Shape => ({
    kind: 'sleeve',
    length: size(length),
    diameter: size(diameter),
    wire: size(wire),
  }),
  flat: (length: number, width: number, thickness: number): Shape => ({
    kind: 'flat-ellipse',
    length: size(length),
    width: size(width),
    thickness: size(thickness),
  }),
  outline: (path: string, length: number, thickness: number): Shape => ({
    kind: 'flat-outline',
    path,
    length: size(length),
    thickness: size(thickness),
  }),
  patch: (length: number, width: number, onPart: string): Shape => ({
    kind: 'patch',
    length: size(length),
    width: size(width),
    onPartId: idOf(onPart),
  }),
  ring: (outer: number | null, rope: number): Shape => ({
    kind: 'ring',
    outer: outer === null ? null : size(outer),
    rope: size(rope),
  }),
  dome: (diameter: number | null, rise: number): Shape => ({
    kind: 'dome',
    diameter: diameter === null ? null : size(diameter),
    rise: size(rise),
  }),
  fringe: (line: number, drop: number): Shape => ({
    kind: 'fringe',
    line: size(line),
    drop: size(drop),
    weight: 'light',
    fixed: 'end',
    trimFraction: 0.25,
  }),
  byGrams: (massG: number): Shape => ({ kind: 'by-grams', massG }),
  byCount: (): Shape => ({ kind: 'by-count' }),
};

interface PartMore extends Partial<Pick<Part, 'count' | 'firmness' | 'packing' | 'derived' | 'sample'>> {
  readonly coat?: string;
  /** What is stated of the core. */
  readonly amount?: Amount;
  readonly words?: string;
  /** After core and coat; ids are made from the part’s. */
  readonly uses?: readonly Use[];
}

/** A part; its id is made from its name. */
export function part(name: string, shape: Shape, core: string | null, more: PartMore = {}): Part {
  const { coat, amount, words, uses = [], ...rest } = more;
  const id = idOf(name);
  const own: Use = { ...use('core', core), amount: amount ?? null, words: words ?? '' };
  const all = [own, ...(coat === undefined ? [] : [use('coat', coat)]), ...uses];
  return {
    ...blankPart(id, name),
    shape,
    ...rest,
    uses: all.map((one, index) => ({ ...one, id: `${id}-${index + 1}` })),
  };
}

/** A use of wool or a thing inside; the part gives it its id. */
export const use = <R extends UseRole>(
  role: R,
  fibreId: string | null,
  more: Partial<UseOf<R>> = {},
): UseOf<R> => ({ ...blankUse('-', role, fibreId), ...more }) as UseOf<R>;

/** The id of a part’s use by its place, from 1: the core, the coat, and so on. */
export const useId = (partName: string, place: number): string => `${idOf(partName)}-${place}`;

/** A join, named by its two parts. */
export function join(
  partName: string,
  ontoName: string,
  more: Partial<Omit<Join, 'cover'>> & { cover?: string; band?: number } = {},
): Join {
  const { cover, band, ...rest } = more;
  const [partId, ontoId] = [idOf(partName), idOf(ontoName)];
  return {
    ...blankJoin(`${partId}-${ontoId}`.slice(0, 40), partId, ontoId),
    cover:
      cover === undefined
        ? null
        : { fibreId: cover, band: band === undefined ? null : size(band), words: '', isIfNeeded: false },
    ...rest,
  };
}

export const cut = <K extends Cut['kind']>(
  name: string,
  kind: K,
  findingId: string | null,
  more: Partial<Extract<Cut, { kind: K }>>,
): Cut => ({ ...blankCut(idOf(name), kind), name, findingId, ...more });

export const fitting = (
  findingId: string,
  count: FindingUse['count'],
  partName: string | null = null,
): FindingUse => ({
  id: `${findingId.slice(0, 30)}-on`,
  findingId,
  partId: partName && idOf(partName),
  count,
});

export type StepRow = readonly [
  text: string,
  parts: readonly string[],
  stage: Stage,
  gauge: number | null,
  minutes: number | null,
];

interface PatternMore {
  readonly joins?: readonly Join[];
  readonly joinsApart?: boolean;
  readonly cuts?: readonly Cut[];
  readonly findings?: readonly FindingUse[];
  readonly shared?: readonly SharedWeight[];
}

/** A pattern from its parts and rows of steps that name their parts. */
export function pattern(
  heading: Pick<Pattern, 'title' | 'level'> & { heightMm: number | null },
  parts: Part[],
  rows: readonly StepRow[],
  more: PatternMore = {},
): Pattern {
  return {
    ...blankPattern(heading.title),
    level: heading.level,
    finishedHeight: heading.heightMm === null ? null : size(heading.heightMm),
    parts,
    joins: [...(more.joins ?? [])],
    joinsApart: more.joinsApart ?? false,
    cuts: [...(more.cuts ?? [])],
    findings: [...(more.findings ?? [])],
    shared: [...(more.shared ?? [])],
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
