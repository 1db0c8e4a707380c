export { checkFibre, checkLot, FIBRE_BOUNDS } from './checkFibre.ts';
export { sameName } from '../checks/checkFields.ts';
export { colourDifference, hueChroma, isColour, lightness } from '../colour/colour.ts';
export {
  BLANK_FIBRE,
  FIBRE_FLAGS,
  FibreInput,
  PREPARATIONS,
  type Fibre,
  type FibreFlag,
  type Preparation,
} from './fibre.ts';
export { type FibreNumberName, type Fineness } from './fibreNumbers.ts';
export { feltsAlone, fibreNumber, numbersOf, PREPARATION_DEFAULTS } from './fibreNumber.ts';
export {
  FINISHED_DENSITY_G_PER_CM3,
  FIRMNESSES,
  PACKED_DENSITY_G_PER_CM3,
  type Firmness,
  PACKINGS,
  type Packing,
} from './firmness.ts';
export { blankLot, LotInput, NO_OVERRIDES, type Lot, type LotOverrides } from './lot.ts';
export { lotInUse, ofLot } from './lotInUse.ts';
export { contradiction, measure, sheetMassG, type Measured } from './measured.ts';
export { lotsPackedFrom, takeFromLots } from './takeFromLots.ts';
export { tooSmallFor } from './tooSmallFor.ts';
export { cutFraction, weighedPieces, type Measuring, type TypedWeighing } from './weighedPieces.ts';
