export {
  blankCommission,
  isAhead,
  COMMISSION_BOUNDS,
  CommissionInput,
  type Commission,
  type CommissionState,
} from './commission.ts';
export { checkCommission, type CommissionProblem } from './checkCommission.ts';
export { buildWanted, sizeWanted, type SizeWanted } from './sizeWanted.ts';
export { pricedQuote, quoteOf, type Priced, type Quote } from './quote.ts';
export { placeOf, workDaysOf, type TakenDay, type WorkPlace } from './place.ts';
export { calendarDays, type CalendarDay } from './calendarDays.ts';
export { standingOf, type Calendar, type Standing } from './standing.ts';
export { patternsAnswering, type Answering, type PatternWords } from './answering.ts';
