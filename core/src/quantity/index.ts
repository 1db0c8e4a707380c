export { rangeAbout, type MassRangeG, type Source } from './quantity.ts';
export { totalMass, type MassTerm, type TotalMass } from './totalMass.ts';
