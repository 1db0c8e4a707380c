export { wantingOf } from './wanting.ts';
export { drawerOf } from './drawer.ts';
export {
  AMOUNT_BOUNDS,
  CountedNow,
  CountInput,
  countDifferenceMilli,
  ENTERED_REASONS,
  fromMilli,
  movementMilli,
  MovementInput,
  REASONS,
  STOCK_UNITS,
  toMilli,
  type EnteredReason,
  type Movement,
  type Reason,
  type StockUnit,
} from './ledger.ts';
export { HAND_MEASURES, HandMeasureInput, type HandMeasure, type HandMeasureName } from './handMeasure.ts';
