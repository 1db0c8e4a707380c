import type { PointMm } from '../../src/shapes/index.ts';

/** Volume and whole surface of an outline (symmetric about a vertical axis) turned about that axis: sums of frusta. */
export function revolve(outline: readonly PointMm[]): { volumeMm3: number; areaMm2: number } {
  const xs = outline.map(([x]) => x);
  const axis = (Math.min(...xs) + Math.max(...xs)) / 2;
  const right = outline
    .filter(([x]) => x >= axis - 1e-9)
    .map(([x, y]) => ({ r: x - axis, y }))
    .sort((a, b) => a.y - b.y || a.r - b.r);
  const top = Math.min(...outline.map(([, y]) => y));
  const bottom = Math.max(...outline.map(([, y]) => y));
  const ends = [
    { r: 0, y: top },
    ...right.filter(({ y }) => y === top),
    ...right.filter(({ y }) => y > top && y < bottom),
    ...right.filter(({ y }) => y === bottom).reverse(),
    { r: 0, y: bottom },
  ];
  let [volumeMm3, areaMm2] = [0, 0];
  for (let i = 1; i < ends.length; i++) {
    const [a, b] = [ends[i - 1], ends[i]];
    if (!a || !b) continue;
    volumeMm3 += (Math.PI / 3) * (b.y - a.y) * (a.r ** 2 + a.r * b.r + b.r ** 2);
    areaMm2 += Math.PI * (a.r + b.r) * Math.hypot(b.y - a.y, b.r - a.r);
  }
  return { volumeMm3, areaMm2 };
}
