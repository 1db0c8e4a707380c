import type { StepPicture } from '../../reading/index.ts';
import { drawnPieceSvg, type FigureSvg } from '../figureSvg.ts';

/** Room round it for the arrows, and how fine its lines are, of its height. */
const [AROUND_FRACTION, LINE_FRACTION] = [0.08, 1 / 200];
/** What is not worked on is paler. */
const BESIDE_OPACITY = 0.4;
const INK = '#1d2733';

/** The figure as far as a step, what is worked on in full, and how the needle goes. */
export function stepPictureSvg({ drawn, wool, atWork, strokes }: StepPicture): FigureSvg {
  const { box } = drawn;
  const [acrossMm, highMm] = [box.rightMm - box.leftMm, box.topMm - box.bottomMm];
  const aroundMm = Math.max(acrossMm, highMm) * AROUND_FRACTION;
  const lineMm = Math.max(acrossMm, highMm) * LINE_FRACTION;
  const worked = new Set(atWork);
  const pieces = drawn.pieces
    .map((piece) => {
      const svg = drawnPieceSvg(piece, wool, lineMm);
      return worked.size === 0 || worked.has(piece.partId) ? svg : `<g opacity="${BESIDE_OPACITY}">${svg}</g>`;
    })
    .join('');
  const [widthMm, heightMm] = [acrossMm + 2 * aroundMm, highMm + 2 * aroundMm];
  const moved = `translate(${fine(aroundMm - box.leftMm)} ${fine(aroundMm + box.topMm)}) scale(1 -1)`;
  return {
    svg:
      `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${fine(widthMm)} ${fine(heightMm)}" width="${fine(widthMm)}" height="${fine(heightMm)}">` +
      `<g transform="${moved}" stroke="${INK}" stroke-width="${fine(lineMm)}" stroke-linejoin="round" stroke-linecap="round">${pieces}` +
      strokes.map((stroke) => strokeSvg(stroke, lineMm)).join('') +
      '</g></svg>',
    aspect: widthMm / heightMm,
  };
} // prettier-ignore

function strokeSvg({ points, hasHead }: StepPicture['strokes'][number], lineMm: number): string {
  const path = points.map(([x, y], at) => `${at === 0 ? 'M' : 'L'}${fine(x)} ${fine(y)}`).join('');
  const lines = (colour: string, wide: number) =>
    `<path fill="none" stroke="${colour}" stroke-width="${fine(wide)}" d="${path}${hasHead ? headPath(points, 7 * lineMm) : ''}"/>`;
  return lines('#ffffff', 5 * lineMm) + lines(INK, 2 * lineMm);
}

/** Two short lines at its end. */
function headPath(points: StepPicture['strokes'][number]['points'], longMm: number): string {
  const [before, tip] = [points.at(-2), points.at(-1)];
  if (!before || !tip) return '';
  const along = Math.atan2(tip[1] - before[1], tip[0] - before[0]);
  const barb = (turn: number) =>
    `M${fine(tip[0])} ${fine(tip[1])}L${fine(tip[0] - longMm * Math.cos(along + turn))} ${fine(tip[1] - longMm * Math.sin(along + turn))}`;
  return barb(0.45) + barb(-0.45);
}

const fine = (mm: number): number => Math.round(mm * 100) / 100;
