import type { Fibre, Length, Part, Pattern, Shape } from '../../src/index.ts';

export const mm = (value: number): Length => ({ value, unit: 'mm' });

export const shapes = {
  ball: (d: number): Shape => ({ kind: 'ball', diameter: mm(d) }),
  ellipsoid: (l: number, w: number, h: number): Shape => ({ kind: 'ellipsoid', length: mm(l), width: mm(w), height: mm(h) }),
  egg: (l: number, d: number, widestAtFraction = 0.4): Shape => ({ kind: 'egg', length: mm(l), diameter: mm(d), widestAtFraction }),
  limb: (l: number, d: number): Shape => ({ kind: 'limb', length: mm(l), diameter: mm(d) }),
  taper: (l: number, thick: number, thin: number): Shape => ({ kind: 'taper', length: mm(l), thickEnd: mm(thick), thinEnd: mm(thin) }),
  flat: (l: number, w: number, t: number): Shape => ({ kind: 'flat-ellipse', length: mm(l), width: mm(w), thickness: mm(t) }),
}; // prettier-ignore

export const fibre = (id: string, more: Partial<Fibre> = {}): Fibre => ({
  id,
  version: 1,
  name: id,
  preparation: 'carded',
  colour: '#6b7d36',
  linearGPerM: null,
  stapleMm: null,
  pricePer100gMinor: 500,
  onHandG: 100,
  archived: false,
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
