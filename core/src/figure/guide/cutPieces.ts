import type { CutEstimate } from '../../engine/index.ts';
import { type Cut, mmOrNull, type Pattern } from '../../pattern/index.ts';
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

/** Its length across the page; of a tube the edge that goes under the other is marked. */
function panelLines(cut: Cut, lengthMm: number, widthMm: number): GuideLine[] {
  const edge: GuideLine = { is: 'cut', points: rectangle(lengthMm, widthMm), isClosed: true };
  const overlapMm = cut.kind === 'tube-panel' ? mmOrNull(cut.overlap) : null;
  if (!overlapMm) return [edge];
  const x = lengthMm / 2 - overlapMm;
  return [
    edge,
    {
      is: 'overlap',
      points: [
        [x, -widthMm / 2],
        [x, widthMm / 2],
      ],
      isClosed: false,
    },
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
