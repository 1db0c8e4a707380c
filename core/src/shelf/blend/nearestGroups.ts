type Point = readonly [number, number, number];

export interface NearestGroups {
  /** Indices of two or three points each, in no order. */
  readonly nearest: readonly (readonly number[])[];
  /** How many pairs and trios there are. */
  readonly possible: number;
}

/**
 * The pairs and trios of points whose segment or triangle passes nearest to the origin.
 * @param most how many to keep
 * @param onProgress told after each first point, 0–1
 */
export function nearestGroups(
  points: readonly Point[],
  most: number,
  onProgress: (fraction: number) => void,
): NearestGroups {
  const n = points.length;
  // Every distance below is made of these products: a million triangles, twenty thousand products.
  const products = new Float64Array(n * n);
  points.forEach((a, i) =>
    points.forEach((b, j) => (products[i * n + j] = a[0] * b[0] + a[1] * b[1] + a[2] * b[2])),
  );
  const list = shortlist(most);
  for (let i = 0; i < n; i++) {
    const aa = products[i * n + i] as number;
    for (let j = i + 1; j < n; j++) {
      const [ab, bb] = [products[i * n + j] as number, products[j * n + j] as number];
      list.offer(segmentDistance(aa, ab, bb), i, j, -1);
      for (let k = j + 1; k < n; k++) {
        const ac = products[i * n + k] as number;
        const bc = products[j * n + k] as number;
        const cc = products[k * n + k] as number;
        list.offer(triangleDistance(aa, ab, ac, bb, bc, cc, list.worst()), i, j, k);
      }
    }
    onProgress((i + 1) / n);
  }
  return { nearest: list.kept(), possible: (n * (n - 1)) / 2 + (n * (n - 1) * (n - 2)) / 6 };
}

/** Keeps the least of what it is offered: it grows to twice its size, is sorted, and halved. */
function shortlist(most: number) {
  let entries: { readonly distance: number; readonly indices: readonly number[] }[] = [];
  let worst = Infinity;
  const halve = () => {
    entries.sort((a, b) => a.distance - b.distance);
    entries = entries.slice(0, most);
    if (entries.length === most) worst = entries.at(-1)?.distance ?? Infinity;
  };
  return {
    /** What is offered must be nearer than this. */
    worst: () => worst,
    offer: (distance: number, i: number, j: number, k: number) => {
      if (distance >= worst) return;
      entries.push({ distance, indices: k < 0 ? [i, j] : [i, j, k] });
      if (entries.length >= 2 * most) halve();
    },
    kept: () => {
      halve();
      return entries.map(({ indices }) => indices);
    },
  };
}

/** Squared distance of the origin from the segment ab, from the products of its ends. */
function segmentDistance(aa: number, ab: number, bb: number): number {
  const length = aa - 2 * ab + bb;
  const t = length > 0 ? Math.min(1, Math.max(0, (aa - ab) / length)) : 0;
  return Math.max(0, aa + t * (2 * (ab - aa) + t * length));
}

/**
 * Squared distance of the origin from the triangle abc: within it where the foot falls inside, else from its edges.
 * Where even the plane is no nearer than `enough`, that is answer enough: most triangles end there.
 */
function triangleDistance(
  aa: number,
  ab: number,
  ac: number,
  bb: number,
  bc: number,
  cc: number,
  enough: number,
): number {
  // With e = b − a and f = c − a, the foot is a + s·e + t·f.
  const ee = aa - 2 * ab + bb;
  const ef = aa - ab - ac + bc;
  const ff = aa - 2 * ac + cc;
  const determinant = ee * ff - ef * ef;
  if (determinant > 1e-12 * ee * ff) {
    const ea = ab - aa;
    const fa = ac - aa;
    const s = (ef * fa - ff * ea) / determinant;
    const t = (ef * ea - ee * fa) / determinant;
    const plane = Math.max(0, aa + s * ea + t * fa);
    if (plane >= enough || (s >= 0 && t >= 0 && s + t <= 1)) return plane;
  }
  return Math.min(segmentDistance(aa, ab, bb), segmentDistance(bb, bc, cc), segmentDistance(aa, ac, cc));
}
