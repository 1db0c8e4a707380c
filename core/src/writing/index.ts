export { cautionsOf } from './cautions.ts';
export { lifeLines, type LifeLine, type LifeMark } from './lifeLines.ts';
export {
  brokenLinks,
  ORDER_REASONS,
  orderLinks,
  placeStep,
  type OrderLink,
  type OrderReason,
  type Placing,
} from './order.ts';
export { joinedBy, workOnParts, type PartWork } from './partWork.ts';
export { sessionOfWool, stageOfWool, stepOfWool, woolUpTo, type WoolPlace } from './woolInSteps.ts';
export {
  LEVEL_MEASURES,
  proposeLevel,
  type LevelMeasure,
  type LevelProposal,
  type LevelReason,
} from './proposeLevel.ts';
export { readSteps, type ReadStep, type ReadText } from './readSteps.ts';
export { isSaid, recognise, withRecognised, type KnownNames, type Recognised } from './recognise.ts';
export { placeOfAmount, takeAmount, type AmountPlace } from './takeAmount.ts';
export * from './technique/index.ts';
export { isLaidOn, JOINING } from './partWork.ts';
export { hasVerb, type Verb } from './verbs.ts';
