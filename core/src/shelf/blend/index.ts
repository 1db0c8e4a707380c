export { BLANK_BLEND, BlendInput, BlendPart, type Blend, type StoredBlend } from './blend.ts';
export { computeBlends } from './blendAsFibre.ts';
export { BlendLotMade } from './makeLot.ts';
export { BLEND_LOT_BOUNDS, planBlendLot } from './blendLot.ts';
export { checkBlend, MOST_NOT_FELTING_FRACTION, notFeltingFraction, PARTS_BOUNDS } from './checkBlend.ts';
export { expandBlend, recipesOf } from './expandBlend.ts';
export { mixColours } from './mix.ts';
export { nearestColours, type Candidate, type NearColour, type Nearest } from './nearestColour.ts';
export { colourOf, reflectanceOf } from './spectrum.ts';
