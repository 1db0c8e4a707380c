export { decorationsOf, type Decoration } from './decorations.ts';
export { layoutTray, type PlacedPiece, type Tray, type TraySpace } from './layoutTray.ts';
export { rulerTicks, type Tick } from './rulerTicks.ts';
