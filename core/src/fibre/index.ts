export { checkFibre, FIBRE_BOUNDS } from './checkFibre.ts';
export { colourDifference, isColour, lightness } from './colour.ts';
export { FibreInput, PREPARATIONS, type Fibre, type Preparation } from './fibre.ts';
export {
  FINISHED_DENSITY_G_PER_CM3,
  FIRMNESSES,
  PACKED_DENSITY_G_PER_CM3,
  type Firmness,
  type Packing,
} from './firmness.ts';
