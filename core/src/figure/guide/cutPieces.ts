import { conePanelOutline, type CutEstimate, frustumOfCut, sectorOf } from '../../engine/index.ts';
import { type Cut, mmOrNull, type Pattern } from '../../pattern/index.ts';
import type { PointMm } from '../../shapes/index.ts';
import type { GuideLine, GuidePiece, GuideStretch, NotInGuide } from './guidePiece.ts';
import { rectangle } from './partOutlines.ts';

/** What is cut to size, at the size it is cut to: panels as outlines, the rest as lengths with their bends. */
export function cutPieces(
  { cuts, parts }: Pick<Pattern, 'cuts' | 'parts'>,
  estimates: readonly CutEstimate[],
): { pieces: GuidePiece[]; missing: NotInGuide[] } {
  const pieces: GuidePiece[] = [];
  const missing: NotInGuide[] = [];
  const nameOf = (partId: string | null) => parts.find(({ id }) => id === partId)?.name ?? '';
  for (const cut of cuts) {
    const estimate = estimates.find(({ cutId }) => cutId === cut.id);
    if (!estimate?.cut) {
      missing.push({ of: { kind: 'cut', cut }, why: 'size_unknown' });
    } else if (estimate.cut.kind === 'piece') {
      const { lengthMm, widthMm } = estimate.cut;
      pieces.push({
        kind: 'panel',
        cut,
        count: cut.count,
        lines: panelLines(cut, lengthMm, widthMm),
        marks: [],
      });
    } else {
      const { lengthMm } = estimate.cut;
      pieces.push({
        kind: 'length',
        cut,
        count: cut.count,
        lengthMm,
        stretches: stretchesOf(estimate, lengthMm, nameOf),
      });
    }
  }
  return { pieces, missing };
}

/**
 * Its length across the page, as it is cut. Of a tube the line is marked at which its round is whole: what is beyond goes
 * under the other edge. What is cut to a shape is drawn as that shape, and not as what was rounded up.
 */
function panelLines(cut: Cut, lengthMm: number, widthMm: number): GuideLine[] {
  switch (cut.kind) {
    case 'tube-panel': {
      const acrossMm = mmOrNull(cut.diameter) ?? 0;
      const x = Math.PI * acrossMm - lengthMm / 2;
      return [edge(rectangle(lengthMm, widthMm)), upright('overlap', x, widthMm)];
    }
    case 'cone-panel':
      return conePanelLines(cut);
    case 'pouch-square':
      return pouchLines(mmOrNull(cut.base) ?? 0, mmOrNull(cut.wall) ?? 0);
    default:
      return [edge(rectangle(lengthMm, widthMm))];
  }
}

const edge = (points: readonly PointMm[]): GuideLine => ({ is: 'cut', points, isClosed: true });
const upright = (is: GuideLine['is'], x: number, heightMm: number): GuideLine => ({
  is,
  points: [
    [x, -heightMm / 2],
    [x, heightMm / 2],
  ],
  isClosed: false,
});

function conePanelLines(cut: Extract<Cut, { kind: 'cone-panel' }>): GuideLine[] {
  const frustum = frustumOfCut(cut);
  if (!frustum) return [];
  const overlapMm = mmOrNull(cut.overlap) ?? 0;
  const sector = sectorOf(frustum);
  if (!sector)
    return [
      edge(rectangle(Math.PI * frustum.bottomMm + overlapMm, frustum.heightMm)),
      upright('overlap', (Math.PI * frustum.bottomMm - overlapMm) / 2, frustum.heightMm),
    ];
  const half = (sector.angleDeg * Math.PI) / 360;
  const seam: GuideLine = {
    is: 'overlap',
    points: [sector.innerMm, sector.outerMm].map((radius): PointMm => [
      radius * Math.sin(half),
      radius * Math.cos(half),
    ]),
    isClosed: false,
  };
  return [edge(conePanelOutline(frustum, overlapMm)), ...(overlapMm > 0 ? [seam] : [])];
}

/** Its corners are cut out; its sides are folded up. */
function pouchLines(baseMm: number, wallMm: number): GuideLine[] {
  const [inner, outer] = [baseMm / 2, baseMm / 2 + wallMm];
  const corner = (sx: number, sy: number): PointMm[] => [
    [sx * outer, sy * inner],
    [sx * inner, sy * inner],
    [sx * inner, sy * outer],
  ];
  const [a, b, c, d] = [corner(1, 1), corner(-1, 1), corner(-1, -1), corner(1, -1)];
  return [
    edge([...a, ...b.toReversed(), ...c, ...d.toReversed()]),
    { is: 'fold', points: rectangle(baseMm, baseMm), isClosed: true },
  ];
}

/** From its first end on; what was rounded up is to spare at the other. */
function stretchesOf(
  { stretches }: CutEstimate,
  cutMm: number,
  nameOf: (partId: string | null) => string,
): GuideStretch[] {
  let atMm = 0;
  const found = stretches.map(({ is, name, partId, lengthMm }): GuideStretch => {
    const fromMm = atMm;
    atMm += lengthMm ?? 0;
    return { is, name: name.trim() === '' ? nameOf(partId) : name, fromMm, toMm: atMm };
  });
  return found.length > 0 && cutMm - atMm > SPARE_MM
    ? [...found, { is: 'spare', name: '', fromMm: atMm, toMm: cutMm }]
    : found;
}

/** Less than this is no bend of its own, mm. */
const SPARE_MM = 0.5;
