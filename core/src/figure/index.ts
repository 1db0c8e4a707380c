export { decorationsOf } from './decorations.ts';
export { layoutTray, type LaidPiece, type Tray, type TraySpace } from './layoutTray.ts';
export { rulerTicks, type Tick } from './rulerTicks.ts';
export { figureLook } from './figureLook.ts';
export type { DrawnDecoration, Outline, PieceLook, WoolLook } from './pieceLook.ts';
export { drawPattern, piecesOf, type Piece } from './pieces.ts';
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
export type { PlacedDetail } from './together/details.ts';
export type { DrawnMark } from './together/drawnMark.ts';
export { drawnFigure, type DrawnFigure, type DrawnPiece } from './together/drawnFigure.ts';
export { type NotWeighed } from './together/masses.ts';
export { mendsOf, STEADY_DEG, type Mend } from './together/mends.ts';
export {
  leanTurned,
  nudge,
  placementChanged,
  placeSeenAt,
  type Held,
  type PlaceChange,
} from './together/movePlace.ts';
export type { Figure, NotPlaced, PlacedPiece, SetOn } from './together/placeFigure.ts';
export { hostSpot } from './together/onHost.ts';
export { pointIn, type Vec3 } from './together/space.ts';
export { putTogether, whatItTells, type FigureTells, type Together } from './together/together.ts';
