export { decorationsOf } from './decorations.ts';
export { layoutTray, type PlacedPiece, type Tray, type TraySpace } from './layoutTray.ts';
export { rulerTicks, type Tick } from './rulerTicks.ts';
export { figureLook } from './figureLook.ts';
export type { DrawnDecoration, Outline, PieceLook, WoolLook } from './pieceLook.ts';
export { drawPattern, piecesOf, type Piece } from './pieces.ts';
