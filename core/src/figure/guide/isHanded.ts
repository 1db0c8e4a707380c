import type { PointMm } from '../../shapes/index.ts';
import type { GuideLine, GuideMark } from './guidePiece.ts';

/** Two hands as near as this are one, mm. */
const SAME_MM = 0.3;
/** Points of a line that are looked at. */
const LOOKED_AT = 32;

type Drawn = GuideLine | GuideMark;

/** Whether the mirror image of a drawing is another one: some point of it lies on no like line of the drawing itself. */
export function isHanded(drawn: readonly Drawn[]): boolean {
  // What only tells how deep it is, or how deep it goes in, makes no other hand of it.
  const shown = drawn.filter((line) => !('is' in line ? line.is === 'side' : line.of.kind === 'sunk'));
  return shown.some((line) => {
    const alike = shown.filter((other) => nameOf(other) === nameOf(line));
    const step = Math.max(1, Math.floor(line.points.length / LOOKED_AT));
    return line.points.some(([x, y], at) => at % step === 0 && !alike.some((other) => isOn([-x, y], other)));
  });
}

const nameOf = (line: Drawn): string =>
  'is' in line ? line.is : JSON.stringify({ ...line.of, back: line.isBehind });

function isOn([x, y]: PointMm, { points, isClosed }: Drawn): boolean {
  const last = isClosed ? points.length : points.length - 1;
  for (let at = 0; at < Math.max(1, last); at++) {
    const [x1, y1] = points[at] ?? [Infinity, Infinity];
    const [x2, y2] = points[(at + 1) % points.length] ?? [x1, y1];
    const [dx, dy] = [x2 - x1, y2 - y1];
    const size = dx * dx + dy * dy;
    const along = size === 0 ? 0 : Math.min(1, Math.max(0, ((x - x1) * dx + (y - y1) * dy) / size));
    if (Math.hypot(x - x1 - along * dx, y - y1 - along * dy) < SAME_MM) return true;
  }
  return false;
}
