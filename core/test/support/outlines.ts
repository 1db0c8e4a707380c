/** Judges of drawn outlines that share nothing with what draws them: every distance looked for by brute force. */
type Point = readonly [number, number];

/** From a point to the nearest point of a line, mm. */
export function distanceTo([x, y]: Point, points: readonly Point[], isClosed: boolean): number {
  let nearest = Infinity;
  const last = isClosed ? points.length : points.length - 1;
  for (let at = 0; at < last; at++) {
    const [x1, y1] = points[at] ?? [NaN, NaN];
    const [x2, y2] = points[(at + 1) % points.length] ?? [NaN, NaN];
    // Walked in steps, not projected.
    for (let step = 0; step <= 40; step++) {
      const t = step / 40;
      nearest = Math.min(nearest, Math.hypot(x - x1 - t * (x2 - x1), y - y1 - t * (y2 - y1)));
    }
  }
  return nearest;
}

export const extentOf = (points: readonly Point[]) => {
  const [xs, ys] = [points.map(([x]) => x), points.map(([, y]) => y)];
  const [left, right, top, bottom] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  return { left, right, top, bottom, across: right - left, down: bottom - top };
};
