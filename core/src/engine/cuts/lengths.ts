import { type Length, toMm } from '../../base/index.ts';
import { type Cut, mmOrNull, type Segment } from '../../pattern/index.ts';
import {
  boxOfOutline,
  conePanelOutline,
  type Frustum,
  handleLengthMm,
  pouchSideMm,
  rolledWidthMm,
  tubePanelMm,
} from './bentPanels.ts';

/** Twisting two wires takes up so much more of them. */
const TWIST_TAKE_UP = 1.08;
/** What an end curled back flat takes, mm. */
const CURL_MM = 8;

type CutOf<K extends Cut['kind']> = Extract<Cut, { kind: K }>;

/** Cut sizes, mm: exact, before they are rounded up; null while something of it is not said. */
export type ExactCut =
  | { readonly kind: 'length'; readonly lengthMm: number }
  | { readonly kind: 'piece'; readonly lengthMm: number; readonly widthMm: number };

/** One stretch of a wire or a handle as it lies straight, from its first end on; null while its length is not said. */
export interface CutStretch {
  readonly is: 'curl' | 'stretch' | 'winding' | 'tuck';
  /** As its author calls it. */
  readonly name: string;
  /** What it runs through. */
  readonly partId: string | null;
  readonly lengthMm: number | null;
}

/**
 * One wire through everything it runs through: stretches × strands, twisted ones with their take-up, turns round
 * another wire at π × both diameters, and end curls, the first of them before it all.
 * @param wireMm its own diameter; needed only where it is wound
 * @param partMm how long a part is, for a stretch that has no length of its own
 */
export function wireStretches(
  cut: CutOf<'wire'>,
  wireMm: number | null,
  partMm: (partId: string) => number | null,
): CutStretch[] {
  const curl: CutStretch = {
    is: 'curl',
    name: '',
    partId: null,
    lengthMm: mmOrNull(cut.curlLength) ?? CURL_MM,
  };
  const curls = Array.from({ length: cut.endCurls }, () => curl);
  return [
    ...curls.slice(0, 1),
    ...cut.segments.map((segment): CutStretch => ({
      is: 'stretch',
      name: segment.name,
      partId: segment.partId,
      lengthMm: stretch(segment, partMm),
    })),
    ...cut.windings.map(({ turns, aroundDiameter, count }): CutStretch => {
      const aroundMm = mmOrNull(aroundDiameter);
      const lengthMm =
        aroundMm === null || wireMm === null ? null : turns * Math.PI * (wireMm + aroundMm) * count;
      return { is: 'winding', name: '', partId: null, lengthMm };
    }),
    ...curls.slice(1),
  ];
}

/** All of its stretches together. */
export const wireLength = (stretches: readonly CutStretch[]): number | null =>
  sumAll(stretches.map(({ lengthMm }) => lengthMm));

function stretch(
  { length, partId, strands, isTwisted }: Segment,
  partMm: (partId: string) => number | null,
): number | null {
  const lengthMm = mmOrNull(length) ?? (partId === null ? null : partMm(partId));
  return lengthMm === null ? null : lengthMm * strands * (isTwisted && strands > 1 ? TWIST_TAKE_UP : 1);
}

/** A stem wound at a pitch on a diameter: L·√(1 + (πd/p)²), and the folds at its ends. */
export function coveringLength(cut: CutOf<'covering'>): number | null {
  const [overMm, pitchMm, aroundMm] = [cut.over, cut.pitch, cut.aroundDiameter].map(mmOrNull);
  if (overMm == null || pitchMm == null || aroundMm == null || pitchMm === 0) return null;
  const wound = overMm * Math.sqrt(1 + ((Math.PI * aroundMm) / pitchMm) ** 2);
  return sumAll([wound, cut.folds === 0 ? 0 : times(cut.folds, cut.foldLength)]);
}

/** Hangs double: 2 × drop, the fold, the knots, and what hands need to tie it. */
export const cordLength = (cut: CutOf<'cord'>): number | null =>
  sumAll([
    times(2, cut.drop),
    mmOr0(cut.fold),
    cut.knots === 0 ? 0 : times(cut.knots, cut.knotLength),
    mmOr0(cut.handling),
  ]);

/** Turns round a girth, a seam, and what hands need. */
export const bindingLength = (cut: CutOf<'binding'>): number | null =>
  sumAll([cut.turns === 0 ? 0 : times(cut.turns, cut.girth), mmOr0(cut.seam), mmOr0(cut.handling)]);

export const whiskerLength = (cut: CutOf<'whisker'>): number | null =>
  sumAll([mmOrNull(cut.span), mmOr0(cut.margin)]);

/**
 * Sizes of a cut that its author typed as they are cut: a wire of one stretch and no more, a length, a panel, the height of
 * a tube. What anything is added to is computed.
 */
export function typedSizes(cut: Cut): { readonly length: Length | null; readonly width: Length | null } {
  const none = { length: null, width: null };
  const isNought = (size: Length | null) => size === null || size.value === 0;
  switch (cut.kind) {
    case 'length':
      return { length: cut.length, width: null };
    case 'panel':
      return { length: cut.length, width: cut.width };
    case 'rolled-strip':
      return { length: cut.length, width: null };
    case 'tube-panel':
      return { length: null, width: cut.height };
    case 'whisker':
      return isNought(cut.margin) ? { length: cut.span, width: null } : none;
    case 'wire': {
      const [only, ...more] = cut.segments;
      const isPlain = more.length === 0 && only?.strands === 1 && cut.endCurls === 0;
      return isPlain && cut.windings.every(({ turns }) => turns === 0)
        ? { length: only.length, width: null }
        : none;
    }
    case 'binding': {
      const isSeamOnly = cut.turns === 0 && isNought(cut.handling);
      return isSeamOnly ? { length: cut.seam, width: null } : none;
    }
    case 'covering':
    case 'cord':
    case 'cone-panel':
    case 'pouch-square':
    case 'handle':
      return none;
  }
}

export function rolledStrip(cut: CutOf<'rolled-strip'>): ExactCut | null {
  const [lengthMm, diameterMm, sheetMm] = [cut.length, cut.diameter, cut.sheetThickness].map(mmOrNull);
  if (lengthMm == null || diameterMm == null || sheetMm == null || sheetMm === 0) return null;
  return { kind: 'piece', lengthMm, widthMm: rolledWidthMm(diameterMm, sheetMm) };
}

/** The circumference and what overlaps, by the height. */
export function tubePanel(cut: CutOf<'tube-panel'>): ExactCut | null {
  const [heightMm, diameterMm] = [cut.height, cut.diameter].map(mmOrNull);
  if (heightMm == null || diameterMm == null) return null;
  return { kind: 'piece', lengthMm: tubePanelMm(diameterMm, mmOr0(cut.overlap)), widthMm: heightMm };
}

/** Its box: what has to be there of the sheet. */
export function conePanel(cut: CutOf<'cone-panel'>): ExactCut | null {
  const frustum = frustumOfCut(cut);
  return frustum && { kind: 'piece', ...boxOfOutline(conePanelOutline(frustum, mmOr0(cut.overlap))) };
}

/** As it is typed; null while something of it is not. */
export function frustumOfCut(cut: CutOf<'cone-panel'>): Frustum | null {
  const [bottomMm, topMm, heightMm] = [cut.bottomDiameter, cut.topDiameter, cut.height].map(mmOrNull);
  if (bottomMm == null || topMm == null || heightMm == null || heightMm === 0) return null;
  return Math.max(bottomMm, topMm) > 0 ? { bottomMm, topMm, heightMm } : null;
}

/** A square with a wall’s height for a notch at each corner. */
export function pouchSquare(cut: CutOf<'pouch-square'>): ExactCut | null {
  const [baseMm, wallMm] = [cut.base, cut.wall].map(mmOrNull);
  if (baseMm == null || wallMm == null) return null;
  const side = pouchSideMm(baseMm, wallMm);
  return { kind: 'piece', lengthMm: side, widthMm: side };
}

export function handleLength(cut: CutOf<'handle'>): number | null {
  const diameterMm = mmOrNull(cut.diameter);
  return diameterMm === null ? null : handleLengthMm(diameterMm, mmOr0(cut.tuck));
}

/** Tucked in, round, tucked in. */
export function handleStretches(cut: CutOf<'handle'>): CutStretch[] {
  const [all, tuckMm] = [handleLength(cut), mmOr0(cut.tuck)];
  const tuck: CutStretch = { is: 'tuck', name: '', partId: null, lengthMm: tuckMm };
  const round: CutStretch = {
    is: 'stretch',
    name: '',
    partId: null,
    lengthMm: all === null ? null : all - 2 * tuckMm,
  };
  return tuckMm > 0 ? [tuck, round, tuck] : [round];
}

/** An allowance that is not said is none. */
const mmOr0 = (length: Length | null): number => (length ? toMm(length) : 0);

const times = (n: number, length: Length | null): number | null => (length ? n * toMm(length) : null);

const sumAll = (terms: readonly (number | null)[]): number | null =>
  terms.reduce<number | null>((sum, term) => (sum === null || term === null ? null : sum + term), 0);
