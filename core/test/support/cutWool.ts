import type { Wool } from '../../src/engine/index.ts';
import { blankCut, type Cut } from '../../src/pattern/index.ts';
import { BLANK_FINDING, blankMeasure, type Finding, type FindingMeasure } from '../../src/shelf/index.ts';
import { fibre, mm, shelf } from './make.ts';

/** Bought things and wool of which something is cut. */
const thing = (id: string, measure: FindingMeasure): Finding => ({
  ...BLANK_FINDING,
  id,
  version: 1,
  name: id,
  onHand: null,
  peak: 0,
  measure,
});
const eye = (id: string, sizeMm: number): Finding =>
  thing(id, {
    ...blankMeasure('count'),
    outerMm: { length: sizeMm, width: sizeMm, height: sizeMm },
  } as FindingMeasure);

export const WOOL: Wool = {
  ...shelf(
    fibre('core'),
    fibre('coat', { colour: '#1d1c1e' }),
    fibre('tops', { preparation: 'tops', linearGPerM: 24 }),
  ),
  findings: new Map([
    [
      'wire',
      thing('wire', { by: 'length', sort: 'wire', diameterMm: 1.2, linearGPerM: 8.9, metresPerPack: 25 }),
    ],
    [
      'cord',
      thing('cord', { by: 'length', sort: 'cord', diameterMm: 1, linearGPerM: 1.1, metresPerPack: 25 }),
    ],
    [
      'linen',
      thing('linen', {
        by: 'area',
        sort: 'fabric',
        thicknessMm: 0.5,
        arealGPerM2: 190,
        nap: 'none',
        sheetLengthMm: 500,
        sheetWidthMm: 700,
      }),
    ],
    ['eye3', eye('eye3', 3)],
    ['eye4', eye('eye4', 4)],
    ['eye6', eye('eye6', 6)],
  ]),
  handMeasures: [],
};

export const cut = <K extends Cut['kind']>(kind: K, more: Partial<Extract<Cut, { kind: K }>>): Cut => ({
  ...blankCut('c', kind),
  ...more,
});

export const segment = (lengthMm: number | null, more = {}) => ({
  name: '',
  partId: null,
  length: lengthMm === null ? null : mm(lengthMm),
  strands: 1,
  isTwisted: false,
  ...more,
});
