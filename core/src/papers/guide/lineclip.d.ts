/** What of it is used here: it ships no types. */
declare module 'lineclip' {
  type Point = [number, number];
  export function clipPolyline(
    points: readonly Point[],
    bbox: readonly [left: number, top: number, right: number, bottom: number],
  ): Point[][];
}
