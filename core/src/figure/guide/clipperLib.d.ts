/** What of it is used here: it ships no types. */
declare module 'clipper-lib' {
  interface IntPoint {
    X: number;
    Y: number;
  }
  type Paths = IntPoint[][];

  class ClipperOffset {
    constructor(miterLimit: number, arcTolerance: number);
    AddPaths(paths: Paths, joinType: number, endType: number): void;
    Execute(solution: Paths, delta: number): void;
  }

  const ClipperLib: {
    readonly Clipper: { SimplifyPolygons(paths: Paths, fillType: number): Paths };
    readonly ClipperOffset: typeof ClipperOffset;
    readonly JoinType: { readonly jtRound: number };
    readonly EndType: { readonly etClosedPolygon: number };
    readonly PolyFillType: { readonly pftEvenOdd: number };
  };
  export default ClipperLib;
}
