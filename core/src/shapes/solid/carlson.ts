/** Relative error below which the duplication stops; the series is then exact to about its sixth power. */
const TOLERANCE = 1e-3;

/**
 * Carlson's completely symmetric elliptic integral of the second kind, R_G(x, y, z).
 * Arguments ≥ 0, at most one of them zero. Source: DLMF 19.16.3, 19.21.10; duplication by Carlson (1995).
 *
 * It gives the area of an ellipsoid, 4π·R_G(a²b², a²c², b²c²) (DLMF 19.33.1), and the perimeter of an
 * ellipse, 8·R_G(0, a², b²), without a series that fails for needles and discs.
 */
export function carlsonRG(x: number, y: number, z: number): number {
  // 19.21.10 loses digits unless z lies between the others.
  const [low, mid, high] = [x, y, z].sort((a, b) => a - b) as [number, number, number];
  const cross = ((low - mid) * (high - mid)) / 3;
  return (
    0.5 *
    (mid * carlsonRF(low, high, mid) - cross * carlsonRD(low, high, mid) + Math.sqrt((low * high) / mid))
  );
}

function carlsonRF(x: number, y: number, z: number): number {
  const mean = (x + y + z) / 3;
  const dx = 1 - x / mean;
  const dy = 1 - y / mean;
  const dz = -dx - dy;
  if (Math.max(Math.abs(dx), Math.abs(dy), Math.abs(dz)) > TOLERANCE) {
    const lambda = duplicationStep(x, y, z);
    return carlsonRF((x + lambda) / 4, (y + lambda) / 4, (z + lambda) / 4);
  }
  const e2 = dx * dy - dz * dz;
  const e3 = dx * dy * dz;
  return (1 - e2 / 10 + e3 / 14 + (e2 * e2) / 24 - (3 * e2 * e3) / 44) / Math.sqrt(mean);
}

function carlsonRD(x: number, y: number, z: number): number {
  const mean = (x + y + 3 * z) / 5;
  const dx = 1 - x / mean;
  const dy = 1 - y / mean;
  const dz = -(dx + dy) / 3;
  if (Math.max(Math.abs(dx), Math.abs(dy), Math.abs(dz)) > TOLERANCE) {
    const lambda = duplicationStep(x, y, z);
    const rest = carlsonRD((x + lambda) / 4, (y + lambda) / 4, (z + lambda) / 4) / 4;
    return rest + 3 / (Math.sqrt(z) * (z + lambda));
  }
  const e2 = dx * dy - 6 * dz * dz;
  const e3 = (3 * dx * dy - 8 * dz * dz) * dz;
  const e4 = 3 * (dx * dy - dz * dz) * dz * dz;
  const series = 1 - (3 * e2) / 14 + e3 / 6 + (9 * e2 * e2) / 88 - (3 * e4) / 22 - (9 * e2 * e3) / 52;
  return series / (mean * Math.sqrt(mean));
}

function duplicationStep(x: number, y: number, z: number): number {
  return Math.sqrt(x * y) + Math.sqrt(y * z) + Math.sqrt(z * x);
}
