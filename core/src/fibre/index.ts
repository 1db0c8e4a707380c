export { checkColour, checkFibre, checkLot, checkNumbers, FIBRE_BOUNDS, sameName } from './checkFibre.ts';
export { colourDifference, hueChroma, isColour, lightness } from './colour.ts';
export {
  BLANK_FIBRE,
  FIBRE_FLAGS,
  FibreInput,
  FINENESSES,
  PREPARATIONS,
  type Fibre,
  type FibreFlag,
  type FibreNumberName,
  type Fineness,
  type Preparation,
} from './fibre.ts';
export { feltsAlone, fibreNumber, numbersOf, PREPARATION_DEFAULTS, type InForce } from './fibreNumber.ts';
export {
  FINISHED_DENSITY_G_PER_CM3,
  FIRMNESSES,
  PACKED_DENSITY_G_PER_CM3,
  type Firmness,
  PACKINGS,
  type Packing,
} from './firmness.ts';
export { blankLot, LotInput, lotInUse, NO_OVERRIDES, ofLot, type Lot, type LotOverrides } from './lot.ts';
export {
  CONTRADICTION_FRACTION,
  contradiction,
  measure,
  sheetMassG,
  type Measured,
  type WeighedPieces,
} from './measured.ts';
export { lotsPackedFrom, takeFromLots, type LotTaking } from './takeFromLots.ts';
export { tooSmallFor } from './tooSmallFor.ts';
export { cutFraction, weighedPieces, type Measuring, type TypedWeighing } from './weighedPieces.ts';
