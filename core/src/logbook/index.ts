export { classMaking, woolSum, type ClassMaking, type WoolSum } from './classMaking.ts';
export {
  blankMaking,
  blankMakingLine,
  blankMakingPiece,
  blankMakingStep,
  MAKING_BOUNDS,
  MakingInput,
  SAID_ROLES,
  type Making,
  type MakingLine,
  type MakingPiece,
  type MakingStep,
} from './making.ts';
export { checkMaking } from './checkMaking.ts';
export { isClockBackwards, minutesNow, started, stopped, tookOfLine, tookOfMaking } from './took.ts';
export { minutesOfMaking, sumOfMaking } from './sumOfMaking.ts';
export type { Evidence, Gathered, NotTaught, Untaught } from './evidence.ts';
export { expectedOf, type Expected, type ExpectedUse } from './expected.ts';
export { makingEvidence } from './makingEvidence.ts';
export { classEvidence, LEARNERS, type ClassTold } from './classEvidence.ts';
export { handSamplesOf } from './handSamples.ts';
export {
  learn,
  uncountedUnknown,
  unitSlip,
  withoutUncounted,
  type JudgedEvidence,
  type Learning,
  type LearningTerms,
} from './learning.ts';
export { makingQuestions, type MakingQuestion } from './makingQuestions.ts';
export { foretold, howGood, type Foretold, type HowGood } from './howGood.ts';
export { worthWeighing, type WorthWeighing } from './worthWeighing.ts';
export { learntRows, type LearntRow, type LearntState } from './learntRows.ts';
export { makeChange, type FibreChange, type MakeChange } from './changes.ts';
export { layersOfBag, makingOf } from './makingOf.ts';
export { draftOf } from './draftOf.ts';
export { proposalsOf, withProposals, type Proposal } from './proposals.ts';
export { evidenceTable, foretoldTable, type TextTable } from './evidenceTable.ts';
export { classMinutes, slowestOf } from './classMinutes.ts';
export { minutesByPerson, type StepMinutes } from './minutesByPerson.ts';
export { classQuestions, type ClassQuestion, type QuestionPlace } from './questions.ts';
export { brokenInMaking, brokenTogether } from './broken.ts';
export { lossRates, type LossEvidence } from './lost.ts';
export { fillIn, makingTable, type UnreadRow } from './makingTable.ts';
