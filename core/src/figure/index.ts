export { decorationsOf } from './decorations.ts';
export { layoutTray, type LaidPiece, type Tray, type TraySpace } from './layoutTray.ts';
export { rulerTicks, type Tick } from './rulerTicks.ts';
export { figureLook, type FigureLook, lookOfBuild, smallFigure } from './figureLook.ts';
export type { DrawnDecoration, Outline, PieceLook, WoolLook } from './pieceLook.ts';
export { piecesOf, type Piece } from './pieces.ts';
export {
  ABOVE,
  cameraOf,
  FRONT,
  seen,
  SIDE,
  TURN_STEP_DEG,
  type Camera,
  type LookFrom,
} from './together/camera.ts';
export type { Standing } from './together/balance.ts';
export { targetOf } from './together/details.ts';
export type { DrawnMark } from './together/drawnMark.ts';
export { drawnFigure, type DrawnFigure, type DrawnPiece, movedFigure } from './together/drawnFigure.ts';
export { type NotWeighed } from './together/masses.ts';
export { mendsOf, type Mend } from './together/mends.ts';
export {
  leanTurned,
  nudge,
  placementChanged,
  placeSeenAt,
  type Held,
  type PlaceChange,
} from './together/movePlace.ts';
export type { PointOnPiece } from './together/hanging.ts';
export { heightAgainst, sizeOverAll, turningRoom } from './together/overall.ts';
export { putTogether, whatItTells, type FigureTells, type Together } from './together/together.ts';
export { type EnclosureFit, enclosureFit, isGoingIn, type WayIn } from './together/enclosures.ts';
export {
  measuredSizes,
  proportionsOf,
  proportionToKeep,
  type ProportionTold,
  proposedSizes,
} from './together/proportions.ts';
export {
  betweenMarksMm,
  markMm,
  photoBehind,
  photoMarked,
  photoMoved,
  photoScaled,
  type PhotoBehind,
} from './together/photoBehind.ts';
export { wireEnds, type WireEnd } from './together/wireEnds.ts';
export { aroundForGap, fitsOf, isFitting, widestGapMm, type Fit } from './together/fits.ts';
export { guidePieces, type GuidePieces } from './guide/guidePieces.ts';
export type {
  GuideLine,
  GuideLineIs,
  GuideMark,
  GuidePiece,
  GuideStretch,
  NotInGuide,
} from './guide/guidePiece.ts';
export type { CardLine, CardPlace, PlaceCard } from './guide/placeCard.ts';
