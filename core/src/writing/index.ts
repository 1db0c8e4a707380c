export { cautionsOf } from './cautions.ts';
export { lifeLines, type LifeLine } from './lifeLines.ts';
export {
  brokenLinks,
  ORDER_REASONS,
  orderLinks,
  placeStep,
  type OrderLink,
  type OrderReason,
} from './order.ts';
export { joinedBy, workOnParts } from './partWork.ts';
export { sessionOfWool, stageOfWool, stepOfWool, woolUpTo } from './woolInSteps.ts';
export { picturesOntoSteps, type PlacedBy } from './picturesOntoSteps.ts';
export { proposeLevel, type LevelMeasure } from './proposeLevel.ts';
export { linesOf, LONGEST_STEP, MOST_LINES, MOST_STEPS, readSteps, type ReadStep } from './readSteps.ts';
export { isSaid, recognise, withRecognised, type KnownNames, type Recognised } from './recognise.ts';
export { placeOfAmount, takeAmount } from './takeAmount.ts';
export * from './technique/index.ts';
export { isLaidOn, JOINING } from './partWork.ts';
export { hasVerb, type Verb } from './verbs.ts';
