export { BAG_SIZES, gramsOfBag } from './bagGrams.ts';
export { START_TECHNIQUES } from './techniques.ts';
export { START_BODIES, startBody } from './bodies.ts';
export { START_COLOURS, startColour } from './colours.ts';
export {
  checkFirstClass,
  FirstClassInput,
  firstPattern,
  firstRun,
  START_HEIGHT_MM,
  type WoolChoice,
} from './firstClass.ts';
export { SHELF_GROUPS, SHELF_KINDS, type ShelfGroup, type ShelfKind } from './shelfKinds.ts';
export { ShelfPick, ShelfStartInput, thingOfPick } from './shelfStart.ts';
export { previewFirst, type FirstPreview } from './previewFirst.ts';
export { startPattern } from './startPattern.ts';
export { newWools, startWool, takesSecond, woolSources } from './woolSources.ts';
export {
  isRootPiece,
  MOST_PIECES,
  PIECE_COUNT,
  piecesOfBody,
  type StartPiece,
  type StartProblem,
  withAnother,
  withPieceBack,
} from './startPieces.ts';
