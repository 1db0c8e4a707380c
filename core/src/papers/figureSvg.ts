import type { DrawnMark, FigureLook } from '../figure/index.ts';

type Drawing = Extract<FigureLook, { kind: 'together' }>;
type Points = readonly (readonly [number, number])[];

/** Wool that nobody has chosen yet. */
const NO_WOOL = '#f4f4f2';
const INK = '#1d2733';
/** Between two figures, of their height. */
const GAP_FRACTION = 0.12;

/** As thick a line, of the height, as a printer of labels needs. */
const LINE_FRACTION = 1 / 80;

/** A small picture of figures for paper, side by side on one ground. */
export interface FigureSvg {
  readonly svg: string;
  /** Across ÷ down. */
  readonly aspect: number;
}

/**
 * To know a pack by: its figures to scale, flat colours within lines, so that a printer without colour shows them too.
 * @param lineFraction how thick its lines are, of the height
 */
export function figureSvg(looks: readonly FigureLook[], lineFraction = LINE_FRACTION): FigureSvg | null {
  const drawn = looks.filter((look): look is Drawing => look.kind === 'together');
  const heightMm = Math.max(0, ...drawn.map(({ drawn: { box } }) => box.topMm - box.bottomMm));
  if (!(heightMm > 0)) return null;
  // As thick wherever it is shown: of a picture eight millimetres high a tenth.
  const lineMm = heightMm * lineFraction;
  let atMm = lineMm;
  const groups = drawn.map((look) => {
    const { box } = look.drawn;
    const moved = `translate(${fine(atMm - box.leftMm)} ${fine(box.topMm + (heightMm - (box.topMm - box.bottomMm)) + lineMm)}) scale(1 -1)`;
    atMm += box.rightMm - box.leftMm + heightMm * GAP_FRACTION;
    return `<g transform="${moved}">${piecesSvg(look, lineMm)}</g>`;
  });
  const widthMm = atMm - heightMm * GAP_FRACTION + lineMm;
  const downMm = heightMm + 2 * lineMm;
  return {
    svg:
      `<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 ${fine(widthMm)} ${fine(downMm)}" width="${fine(widthMm)}" height="${fine(downMm)}">` +
      `<g stroke="${INK}" stroke-width="${fine(lineMm)}" stroke-linejoin="round" stroke-linecap="round">${groups.join('')}</g></svg>`,
    aspect: widthMm / downMm,
  };
}

/** The same as large as it is: its own unit a millimetre. */
export function figureAtTrueSize(look: FigureLook): string | null {
  const figure = figureSvg([look], PAGE_LINE_FRACTION);
  // What is drawn is in millimetres already; only nobody has said so.
  return figure && figure.svg.replace(/ width="([\d.]+)" height="([\d.]+)"/, ' width="$1mm" height="$2mm"');
}

/** As fine a line as a page is read with. */
const PAGE_LINE_FRACTION = 1 / 220;

const piecesSvg = ({ drawn, wool }: Drawing, lineMm: number): string =>
  drawn.pieces.map((piece) => drawnPieceSvg(piece, wool, lineMm)).join('');

/** One piece with what is on it, in the figure’s own mm. */
export const drawnPieceSvg = (
  { outline, fibreId, marks, behind }: Drawing['drawn']['pieces'][number],
  wool: Drawing['wool'],
  lineMm: number,
): string =>
  behind.map((mark) => markSvg(mark, wool, lineMm)).join('') +
  `<path fill-rule="evenodd" fill="${colourOf(fibreId, wool)}" d="${outline.map(closed).join('')}"/>` +
  marks.map((mark) => markSvg(mark, wool, lineMm)).join('');

function markSvg(mark: DrawnMark, wool: Drawing['wool'], lineMm: number): string {
  switch (mark.kind) {
    case 'area':
      return `<path stroke="none" fill="${colourOf(mark.fibreId, wool)}" d="${closed(mark.outline)}"/>`;
    case 'thing':
      return `<path fill="${mark.colour ?? NO_WOOL}" d="${closed(mark.outline)}"/>`;
    case 'line':
      return `<path fill="none" stroke="${colourOf(mark.fibreId, wool)}" stroke-width="${fine(2 * lineMm)}" d="${open(mark.points)}"/>`;
    case 'strand':
      return `<path fill="none" stroke="${mark.colour ?? INK}" stroke-width="${fine(Math.max(lineMm, mark.thickMm ?? 0))}" d="${open(mark.points)}"/>`;
    case 'hair':
      return `<path fill="none" stroke="${colourOf(mark.fibreId, wool)}" d="${mark.strands.map(open).join('')}"/>`;
    case 'groove':
      return `<path fill="none" d="${open(mark.points)}"/>`;
    case 'hollow':
      return `<path fill="none" d="${closed(mark.outline)}"/>`;
  }
}

const colourOf = (fibreId: string | null, wool: Drawing['wool']): string =>
  (fibreId !== null && wool[fibreId]?.colour) || NO_WOOL;

const fine = (mm: number): number => Math.round(mm * 100) / 100;
const open = (points: Points): string =>
  points.map(([x, y], at) => `${at === 0 ? 'M' : 'L'}${fine(x)} ${fine(y)}`).join('');
const closed = (points: Points): string => (points.length > 0 ? `${open(points)}Z` : '');
