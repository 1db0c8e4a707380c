import {
  BLANK_FIBRE,
  type Fibre,
  type Length,
  type Part,
  type Pattern,
  type Shape,
} from '../../src/index.ts';

export const mm = (value: number): Length => ({ value, unit: 'mm' });

export const shapes = {
  ball: (d: number): Shape => ({ kind: 'ball', diameter: mm(d) }),
  ellipsoid: (l: number, w: number, h: number): Shape => ({ kind: 'ellipsoid', length: mm(l), width: mm(w), height: mm(h) }),
  egg: (l: number, d: number, widestAtFraction = 0.4): Shape => ({ kind: 'egg', length: mm(l), diameter: mm(d), widestAtFraction }),
  limb: (l: number, d: number): Shape => ({ kind: 'limb', length: mm(l), diameter: mm(d) }),
  taper: (l: number, thick: number, thin: number): Shape => ({ kind: 'taper', length: mm(l), thickEnd: mm(thick), thinEnd: mm(thin) }),
  flat: (l: number, w: number, t: number): Shape => ({ kind: 'flat-ellipse', length: mm(l), width: mm(w), thickness: mm(t) }),
  drop: (l: number, d: number): Shape => ({ kind: 'drop', length: mm(l), diameter: mm(d) }),
  dome: (d: number, h: number): Shape => ({ kind: 'dome', diameter: mm(d), rise: mm(h) }),
  cone: (h: number, d: number): Shape => ({ kind: 'cone', rise: mm(h), diameter: mm(d) }),
  ring: (outer: number, rope: number): Shape => ({ kind: 'ring', outer: mm(outer), rope: mm(rope) }),
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

export const part = (id: string, shape: Shape, more: Partial<Part> = {}): Part => ({
  id,
  name: id,
  shape,
  count: 1,
  firmness: 'firm',
  core: { fibreId: 'core' },
  coat: null,
  ...more,
});

export const pattern = (parts: Part[], more: Partial<Pattern> = {}): Pattern => ({
  format: 'lanakit-pattern',
  formatVersion: 1,
  title: 'A figure',
  finishedHeight: null,
  level: 'first-timer',
  lengthUnit: 'mm',
  parts,
  steps: [],
  ...more,
});

export const shelf = (...fibres: Fibre[]): Map<string, Fibre> => new Map(fibres.map((one) => [one.id, one]));
