export { BAG_SIZES, gramsOfBag } from './bagGrams.ts';
export { START_BODIES } from './bodies.ts';
export { START_COLOURS, startColour } from './colours.ts';
export {
  checkFirstClass,
  FirstClassInput,
  firstPattern,
  firstRun,
  newWools,
  START_HEIGHT_MM,
  startBody,
  startWool,
  takesSecond,
  type WoolChoice,
  woolSources,
} from './firstClass.ts';
export { SHELF_GROUPS, SHELF_KINDS, type ShelfGroup, type ShelfKind } from './shelfKinds.ts';
export { ShelfPick, ShelfStartInput, thingOfPick } from './shelfStart.ts';
export { previewFirst, type FirstPreview } from './previewFirst.ts';
export { startPattern } from './startPattern.ts';
