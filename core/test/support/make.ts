import type { Length } from '../../src/base/index.ts';
import { onlyFibres, type Wool } from '../../src/engine/index.ts';
import {
  blankPart,
  blankPattern,
  blankUse,
  type Part,
  type Pattern,
  type UseOf,
  type UseRole,
} from '../../src/pattern/index.ts';
import type { Shape } from '../../src/shapes/index.ts';
import { BLANK_FIBRE, type Fibre } from '../../src/shelf/index.ts';

export const mm = (value: number): Length => ({ value, unit: 'mm' });

export const shapes = {
  ball: (d: number): Shape => ({ kind: 'ball', diameter: mm(d) }),
  ellipsoid: (l: number, w: number, h: number): Shape => ({ kind: 'ellipsoid', length: mm(l), width: mm(w), height: mm(h) }),
  egg: (l: number, d: number, widestAtFraction = 0.4): Shape => ({ kind: 'egg', length: mm(l), diameter: mm(d), widestAtFraction }),
  limb: (l: number, d: number): Shape => ({ kind: 'limb', length: mm(l), diameter: mm(d) }),
  taper: (l: number, thick: number, thin: number): Shape => ({ kind: 'taper', length: mm(l), thickEnd: mm(thick), thinEnd: mm(thin) }),
  flat: (l: number, w: number, t: number): Shape => ({ kind: 'flat-ellipse', length: mm(l), width: mm(w), thickness: mm(t) }),
  plate: (l: number, w: number, t: number, corner: number | null = null): Shape => ({ kind: 'plate', length: mm(l), width: mm(w), thickness: mm(t), corner: corner === null ? null : mm(corner) }),
  drop: (l: number, d: number): Shape => ({ kind: 'drop', length: mm(l), diameter: mm(d) }),
  dome: (d: number, h: number): Shape => ({ kind: 'dome', diameter: mm(d), rise: mm(h) }),
  cone: (h: number, d: number): Shape => ({ kind: 'cone', rise: mm(h), diameter: mm(d) }),
  ring: (outer: number, rope: number): Shape => ({ kind: 'ring', outer: mm(outer), rope: mm(rope) }),
  coil: (l: number, thick: number, thin: number): Shape => ({ kind: 'coil', length: mm(l), thickEnd: mm(thick), thinEnd: mm(thin) }),
  sleeve: (l: number, d: number, w: number): Shape => ({ kind: 'sleeve', length: mm(l), diameter: mm(d), wire: mm(w) }),
  outline: (path: string, l: number, t: number): Shape => ({ kind: 'flat-outline', path, length: mm(l), thickness: mm(t) }),
  patch: (l: number, w: number, onPartId: string | null = null): Shape => ({ kind: 'patch', length: mm(l), width: mm(w), onPartId }),
  fringe: (line: number, drop: number): Shape => ({ kind: 'fringe', line: mm(line), drop: mm(drop), weight: 'medium', fixed: 'middle', trimFraction: 0.15 }),
  byGrams: (massG: number): Shape => ({ kind: 'by-grams', massG }),
  byCount: (): Shape => ({ kind: 'by-count' }),
  box: (l: number, w: number, h: number): Shape => ({ kind: 'box', length: mm(l), width: mm(w), height: mm(h) }),
}; // prettier-ignore

export const fibre = (id: string, more: Partial<Fibre> = {}): Fibre => ({
  ...BLANK_FIBRE,
  id,
  version: 1,
  name: id,
  colour: '#6b7d36',
  pricePer100gMinor: 500,
  lots: [],
  onHandG: 100,
  peakG: 100,
  ...more,
});

/** A part of one core and perhaps one coat; `uses` says more. */
export const part = (
  id: string,
  shape: Shape,
  { core, coat, ...more }: Partial<Part> & { core?: string | null; coat?: string | null } = {},
): Part => ({
  ...blankPart(id, id),
  shape,
  uses: [
    blankUse(`${id}-core`, 'core', core === undefined ? 'core' : core),
    ...(coat === undefined ? [] : [blankUse(`${id}-coat`, 'coat', coat)]),
  ],
  ...more,
});

/** A use of wool with what matters of it. */
export const use = <R extends UseRole>(
  role: R,
  id: string,
  fibreId: string | null,
  more: Partial<UseOf<R>> = {},
): UseOf<R> => ({ ...blankUse(id, role, fibreId), ...more }) as UseOf<R>;

export const pattern = (parts: Part[], more: Partial<Pattern> = {}): Pattern => ({
  ...blankPattern('A figure'),
  parts,
  ...more,
});

/** Fibres by id. */
export const wools = (...fibres: Fibre[]): Map<string, Fibre> =>
  new Map(fibres.map((fibre) => [fibre.id, fibre]));

/** The shelf as the engine looks wool up. */
export const shelf = (...fibres: Fibre[]): Wool => onlyFibres(wools(...fibres));
