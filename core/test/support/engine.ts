import { estimatePart, type KnownUse, type UseEstimate, type Wool } from '../../src/engine/index.ts';
import type { Amount, Part } from '../../src/pattern/index.ts';
import { BLANK_FINDING, blankMeasure, type Finding, type FindingMeasure } from '../../src/shelf/index.ts';
import { fibre, part, shapes, shelf, use } from './make.ts';

export const finding = (id: string, measure: Partial<FindingMeasure>): Finding => ({
  ...BLANK_FINDING,
  id,
  version: 1,
  name: id,
  onHand: null,
  peak: 0,
  measure: { ...blankMeasure('count'), ...measure } as FindingMeasure,
});

const SHELF = shelf(
  fibre('core', { colour: '#e6e0d2', preparation: 'core-batt', arealGPerM2: 340 }),
  fibre('coat', { colour: '#777777', linearGPerM: 14, stapleMm: 60 }),
  fibre('dark', { colour: '#1d1c1e' }),
  fibre('tops', { preparation: 'tops', linearGPerM: 24, stapleMm: 75 }),
  fibre('yarn', { preparation: 'yarn', linearGPerM: 2 }),
  fibre('bare', { preparation: 'tops', linearGPerM: null }),
);
export const WOOL: Wool = {
  ...SHELF,
  findings: new Map([
    ['bead', finding('bead', { outerMm: { length: 12, width: 12, height: 11 }, innerMm: 3 })],
    ['shell', finding('shell', { innerMm: 26 })],
    ['odd', finding('odd', {})],
  ]),
  handMeasures: [{ name: 'pinch', massG: 0.1, lowG: 0.08, highG: 0.125, weighedAt: '2026-01-01' }],
};

export const known = (estimate: UseEstimate | undefined): KnownUse => {
  if (estimate?.kind !== 'known') throw new Error(`expected a known amount, got ${JSON.stringify(estimate)}`);
  return estimate;
};
export const usesOf = (part: Part, wool: Wool = WOOL) => estimatePart(part, wool).uses;
export const gramsOf = (part: Part, at: number, wool: Wool = WOOL) => known(usesOf(part, wool)[at]).pieceG;
export const stated = (amount: Amount, fibreId = 'core') =>
  part('p', shapes.ball(60), { uses: [use('core', 'c', fibreId, { amount })] });
