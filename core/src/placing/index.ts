export type { Body } from './body.ts';
export { bodyOf } from './bodyOf.ts';
export { takesWords } from './bodyWords.ts';
export { contactRing, looseEndOf } from './contact.ts';
export { contactsOfJoins } from './contactsOfJoins.ts';
export { axisAt, hostSpot } from './onHost.ts';
export {
  placeFigure,
  raised,
  type Figure,
  type NotPlaced,
  type PlacedPiece,
  type SetOn,
} from './placeFigure.ts';
export { proposeCut, proposeDetail, proposeFinding } from './propose.ts';
export {
  acrossAxis,
  cross,
  degrees,
  directionFrom,
  directionIn,
  dot,
  FIGURE_FRAME,
  heightIn,
  length,
  minus,
  ORIGIN,
  plus,
  pointFrom,
  pointIn,
  radians,
  RIGHT,
  times,
  TOWARD_VIEWER,
  turnedAbout,
  unit,
  UP,
  type Frame,
  type Vec3,
} from './space.ts';
export { boxReachOf, reachOf, reachOfAll } from './reach.ts';
export { spreadPlaces } from './spreadPlaces.ts';
