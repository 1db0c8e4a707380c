import type { Place, Placement } from '../pattern/index.ts';

/** A place for one piece; the mirror image of one that is told, or as it is told. */
export interface SpreadPlace {
  readonly place: Place;
  /** Which of the told places it comes from. */
  readonly index: number;
  readonly isImage: boolean;
}

const MIRRORED = new Set<Placement['rule']>(['mirror', 'copy', 'parted']);

/** Where so many pieces on one host go by their rule; fewer places than pieces where the rule has no more. */
export function spreadPlaces({ rule, spanDeg, places }: Placement, count: number): SpreadPlace[] {
  const told = places.map((place, index): SpreadPlace => ({ place, index, isImage: false }));
  if (MIRRORED.has(rule)) return told.flatMap(withImage).slice(0, count);
  if (rule === 'each') return told.slice(0, count);
  const [first] = told;
  const last = told.at(-1);
  if (!first || !last) return [];
  const spread =
    rule === 'ring' ? inRing(first.place, spanDeg, count) : inRow(first.place, last.place, count);
  return spread.map((place) => ({ ...first, place }));
}

/** On the middle plane itself a place has no other side. */
const withImage = (told: SpreadPlace): SpreadPlace[] =>
  isOnMiddle(told.place) ? [told] : [told, { ...told, isImage: true }];

const isWholeHalfTurn = (angleDeg: number): boolean => Math.abs(Math.sin((angleDeg * Math.PI) / 180)) < 1e-9;

function isOnMiddle({ aroundDeg, heightFraction, leanAsideDeg, twistDeg, leanUpDeg }: Place): boolean {
  const isPole = heightFraction <= 0 || heightFraction >= 1;
  const isStraight = isWholeHalfTurn(leanAsideDeg) && isWholeHalfTurn(twistDeg);
  // At a pole the way round only matters to what leans.
  return isStraight && (isWholeHalfTurn(aroundDeg) || (isPole && leanUpDeg === 0));
}

function inRing(first: Place, spanDeg: number, count: number): Place[] {
  const isWhole = spanDeg >= 360;
  const step = isWhole ? 360 / count : spanDeg / Math.max(1, count - 1);
  const begin = isWhole || count === 1 ? first.aroundDeg : first.aroundDeg - spanDeg / 2;
  return Array.from({ length: count }, (_, at) => ({ ...first, aroundDeg: begin + at * step }));
}

function inRow(first: Place, last: Place, count: number): Place[] {
  return Array.from({ length: count }, (_, at) => {
    const share = count === 1 ? 0 : at / (count - 1);
    const between = (key: keyof Place) => first[key] + (last[key] - first[key]) * share;
    return {
      aroundDeg: between('aroundDeg'),
      heightFraction: between('heightFraction'),
      leanUpDeg: between('leanUpDeg'),
      leanAsideDeg: between('leanAsideDeg'),
      twistDeg: between('twistDeg'),
    };
  });
}
