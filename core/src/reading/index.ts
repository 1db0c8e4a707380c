export {
  cutsToMake,
  piecesToMake,
  type Piece,
  type PieceJoin,
  type PieceLayer,
  type ToCut,
} from './pieces.ts';
export { beforeYouCut, type BeforeYouCut } from './beforeYouCut.ts';
export { thingsStill, type ThingStill } from './thingsStill.ts';
export { bagOfPattern, stillInBag, WISP_G, type InBag, type StillInBag } from './stillInBag.ts';
export { woolOfSteps, type StepWool } from './woolOfSteps.ts';
export {
  creditsOf,
  readingOf,
  ticksOf,
  type Reader,
  type BuildReading as Reading,
  type ReadingSession,
  type ReadingStep,
} from './reading.ts';
export { sittingsOf, type Sittings } from './sittingsOf.ts';
export { buildUpTo } from './buildUpTo.ts';
export { stepPicture, type StepPicture } from './stepPicture.ts';
export { strokeLines } from './strokeLines.ts';
