import {
  type Count,
  type Packing,
  showNumber,
  type MassRangeG,
  type Firmness,
  type KnownUse,
  type ShapeKind,
} from '@lanakit/core';
import { showGramNumber, showGramRange, showLikely } from '@lanakit/core/words';

export {
  counted,
  findingAmount,
  showChange,
  showDay,
  showGramNumber,
  showGrams,
  showLikely,
  showWeighed,
  showWeighedNumber,
} from '@lanakit/core/words';

export const showRange = ({ lowG, highG }: MassRangeG): string =>
  `${showGramNumber(lowG)}–${showGramNumber(highG)} g`;

/** Grams of one piece: as their author states them, from – to; else about so much. */
export const showUseGrams = ({ range, pieceG }: Pick<KnownUse, 'range' | 'pieceG'>): string =>
  range ? showGramRange(range.lowG, range.highG) : showLikely(pieceG);

/** Minutes as a person says them. */
export function showMinutes(minutes: number): string {
  const whole = Math.round(minutes);
  const hours = Math.floor(whole / 60);
  if (hours === 0) return `${whole} min`;
  return `${hours} h ${String(whole % 60).padStart(2, '0')}`;
}

/** Minutes of many things, of which some are unknown: then only at least so many. */
export function showKnownMinutes({
  known,
  unknownCount,
}: {
  readonly known: number;
  readonly unknownCount: number;
}): string {
  if (unknownCount === 0) return showMinutes(known);
  return known > 0 ? `at least ${showMinutes(known)}` : 'time unknown';
}

/** Money without a currency: the studio's own. */
export const showMoney = (minor: number): string => (minor / 100).toFixed(2);

/** How far off a day is, in whole days. */
export function showDaysOff(date: string, today: string): string {
  const days = Math.round((Date.parse(`${date}T12:00:00Z`) - Date.parse(`${today}T12:00:00Z`)) / 86_400_000);
  if (days === 0) return 'today';
  if (days === 1) return 'tomorrow';
  if (days === -1) return 'yesterday';
  return days > 0 ? `${days} days off` : `${-days} days ago`;
}

/** A number of pieces as a person says it: 4, 24–32, or that nobody has said. */
export const showCount = (count: Count): string =>
  count === null ? 'how many?' : typeof count === 'number' ? String(count) : `${count.low}–${count.high}`;

/** ×4 beside a name; nothing for one. */
export const timesWords = (count: Count): string => (count === 1 ? '' : ` ×${showCount(count)}`);

/** Lengths in the hand: to 5 mm, or to ¼ inch. */
export function showHandLength(lengthMm: number, unit: 'mm' | 'in'): string {
  if (unit === 'in') return `${showNumber(Math.max(0.25, Math.round(lengthMm / 6.35) * 0.25), 2)} in`;
  const rounded = Math.max(5, Math.round(lengthMm / 5) * 5);
  return `${showNumber(rounded / 10, 1)} cm`;
}

export { PREPARATION_WORDS } from '@lanakit/core/words';

export const SHAPE_WORDS: Readonly<Record<ShapeKind, string>> = {
  ball: 'ball',
  ellipsoid: 'ellipsoid',
  egg: 'egg',
  limb: 'limb',
  taper: 'taper',
  'flat-ellipse': 'flat ellipse',
  plate: 'flat, straight sides',
  drop: 'drop',
  dome: 'dome',
  cone: 'cone',
  ring: 'ring',
  box: 'box',
  coil: 'coil',
  sleeve: 'sleeve on wire',
  'flat-outline': 'flat, own outline',
  patch: 'patch',
  fringe: 'fringe',
  'by-count': 'by count',
  'by-grams': 'by weight',
};

export const PACKING_WORDS: Readonly<Record<Packing, string>> = {
  loft: 'as torn off, at its loft',
  loose: 'a loose handful',
  rolled: 'rolled by hand',
  tight: 'rolled as tight as it goes',
};

export const FIRMNESS_WORDS: Readonly<Record<Firmness, string>> = {
  airy: 'sinks in, comes back',
  springy: 'squeezes, springs back',
  firm: 'dents a little',
  solid: 'does not dent',
};

export { LEVEL_WORDS, minutesWords, STAGE_WORDS } from '@lanakit/core/words';
