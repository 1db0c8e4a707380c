import type { PointMm } from '../solid/solid.ts';

interface Edge {
  readonly run: number;
  readonly index: number;
  readonly last: number;
  readonly a: PointMm;
  readonly b: PointMm;
  readonly left: number;
  readonly right: number;
}

/**
 * Where two edges of closed runs cross or touch, or null when none do. Edges are swept from left to right, and only
 * those that overlap across are compared.
 */
export function firstCrossing(runs: readonly (readonly PointMm[])[]): PointMm | null {
  const edges = runs.flatMap(edgesOf).sort((p, q) => p.left - q.left);
  let active: Edge[] = [];
  for (const edge of edges) {
    active = active.filter((other) => other.right >= edge.left);
    for (const other of active) {
      const at = areNeighbours(edge, other) ? null : crossing(edge, other);
      if (at) return at;
    }
    active.push(edge);
  }
  return null;
}

function edgesOf(points: readonly PointMm[], run: number): Edge[] {
  return points.map((a, index) => {
    const b = points[(index + 1) % points.length] ?? a;
    return {
      run,
      index,
      last: points.length - 1,
      a,
      b,
      left: Math.min(a[0], b[0]),
      right: Math.max(a[0], b[0]),
    };
  });
}

/** Edges that share an end by right. */
function areNeighbours(p: Edge, q: Edge): boolean {
  const apart = Math.abs(p.index - q.index);
  return p.run === q.run && (apart <= 1 || apart === p.last);
}

function crossing({ a, b }: Edge, { a: c, b: d }: Edge): PointMm | null {
  if (Math.max(a[1], b[1]) < Math.min(c[1], d[1]) || Math.max(c[1], d[1]) < Math.min(a[1], b[1])) return null;
  const [rx, ry, sx, sy] = [b[0] - a[0], b[1] - a[1], d[0] - c[0], d[1] - c[1]];
  const cross = rx * sy - ry * sx;
  if (cross === 0) return null;
  const t = ((c[0] - a[0]) * sy - (c[1] - a[1]) * sx) / cross;
  const u = ((c[0] - a[0]) * ry - (c[1] - a[1]) * rx) / cross;
  return t >= 0 && t <= 1 && u >= 0 && u <= 1 ? [a[0] + t * rx, a[1] + t * ry] : null;
}
