export { cautionsOf } from './cautions.ts';
export { lifeLines, type LifeLine, type LifeMark } from './lifeLines.ts';
export { derivedNeeds, needsOf, type Need, type NeedsList } from './needs.ts';
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
export { writingFindings, type WritingFinding } from './writingFindings.ts';
export { placeOfAmount, takeAmount, type AmountPlace } from './takeAmount.ts';
