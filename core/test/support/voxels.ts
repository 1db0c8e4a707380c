import { type Body, type Vec3 } from '../../src/placing/index.ts';

/** Counts little cubes within a body: its volume and its middle, with none of its formulas. */
export function countedBody(
  { contains, heightMm, halfWidthMm, halfDepthMm }: Body,
  cubes = 64,
): { volumeMm3: number; centroid: Vec3 } {
  const steps = [2 * halfWidthMm, heightMm, 2 * halfDepthMm].map((size) => size / cubes);
  const [sx, sy, sz] = steps as [number, number, number];
  let count = 0;
  const sum = [0, 0, 0];
  for (let i = 0; i < cubes; i++)
    for (let j = 0; j < cubes; j++)
      for (let k = 0; k < cubes; k++) {
        const x = (i + 0.5 - cubes / 2) * sx;
        const y = heightMm / 2 + (j + 0.5 - cubes / 2) * sy;
        const z = (k + 0.5 - cubes / 2) * sz;
        if (!contains([x, y, z])) continue;
        count++;
        sum[0]! += x;
        sum[1]! += y;
        sum[2]! += z;
      }
  return {
    volumeMm3: count * sx * sy * sz,
    centroid: [sum[0]! / count, sum[1]! / count, sum[2]! / count],
  };
}
