import { type Length, massOfArea, type Source, toMm, Z90 } from '../base/index.ts';
import { type Amount, isIncomplete } from '../pattern/index.ts';
import { type Fibre, fibreNumber } from '../shelf/index.ts';
import type { Calibration } from './calibration.ts';
import type { ErrorCause } from './quantity/totalMass.ts';
import { SIGMA } from '../learning/index.ts';
import type { UnknownReason } from './unknown.ts';

/** One piece's amount as its author states it. */
export type Stated =
  | {
      readonly kind: 'known';
      readonly massG: number;
      /** Both ends of what its author states as a range; null: one number. */
      readonly range: { readonly lowG: number; readonly highG: number } | null;
      readonly source: Source;
      readonly cause: ErrorCause;
      /** σ of the log; of each piece where it was weighed, of all together where it was only said. */
      readonly sigma: number;
    }
  | { readonly kind: 'unknown'; readonly reason: UnknownReason }
  /** It follows from other uses (`resolveAmounts`). */
  | { readonly kind: 'follows' };

const unknown = (reason: UnknownReason): Stated => ({ kind: 'unknown', reason });
const statedAs = (massG: number, sigma: number = SIGMA.stated): Stated => ({
  kind: 'known',
  massG,
  range: null,
  source: 'stated',
  cause: 'stated',
  sigma,
});

/** Read as 10th and 90th percentile; the middle is that of the logs. */
function between(lowG: number, highG: number): Stated {
  if (!(highG > lowG)) return statedAs(lowG);
  const sigma = Math.log(highG / lowG) / (2 * Z90);
  return { ...(statedAs(Math.sqrt(lowG * highG), sigma) as KnownStated), range: { lowG, highG } };
}

type KnownStated = Extract<Stated, { kind: 'known' }>;

/** Through a property nobody has measured: as unsure as our default of it, and no longer the author's word alone. */
const throughDefault = (stated: Stated): Stated =>
  stated.kind === 'known'
    ? {
        ...stated,
        source: 'estimated',
        cause: 'unmeasured',
        sigma: Math.hypot(SIGMA.unmeasured, stated.range ? stated.sigma : 0),
      }
    : stated;

/**
 * Grams of a stated amount, through the lot it is taken from. What the lot or the maker’s fingers must tell and nobody
 * has measured is unknown, never a default.
 * @param girthMm round the part, for turns of yarn; null where it has none
 */
export function statedMass(
  amount: Amount,
  fibre: Fibre,
  calibration: Calibration,
  girthMm: number | null,
): Stated {
  if (isIncomplete(amount)) return unknown('amount_incomplete');
  switch (amount.form) {
    case 'grams':
      return weighedOrSaid(amount.massG ?? 0, amount.highG, amount.isWeighed);
    case 'equal-part':
      return statedAs((amount.lotG ?? 0) / (amount.parts ?? 1));
    case 'tops':
      return byLength(fibre, mm(amount.length) / amount.ways, mm(amount.highLength) / amount.ways);
    case 'tufts':
      return byTufts(fibre, amount.count ?? 0, amount.ways);
    case 'turns': {
      const roundMm = amount.girth ? toMm(amount.girth) : girthMm;
      return roundMm === null ? unknown('sizes_missing') : byLength(fibre, (amount.turns ?? 0) * roundMm);
    }
    case 'strip': {
      const loft = calibration.loft(fibre);
      if (loft === null) return unknown('loft_unknown');
      const gPerMm2 = (mm(amount.depth) * loft.value) / 1000;
      const lowG = mm(amount.length) * mm(amount.width) * gPerMm2;
      const highG = mm(amount.highLength ?? amount.length) * mm(amount.highWidth ?? amount.width) * gPerMm2;
      return loft.isDefault ? throughDefault(between(lowG, highG)) : between(lowG, highG);
    }
    case 'sheet':
      return fibre.arealGPerM2 === null
        ? unknown('areal_unknown')
        : statedAs(massOfArea(mm(amount.length) * mm(amount.width), fibre.arealGPerM2));
    case 'locks':
      return statedAs(amount.grades.reduce((sum, { count, eachG }) => sum + (count ?? 0) * (eachG ?? 0), 0));
    case 'hand': {
      const hand = calibration.hand(amount.measure);
      if (!hand) return unknown('hand_unweighed');
      const massG = hand.value * (amount.count ?? 0);
      return { kind: 'known', massG, range: null, source: 'estimated', cause: 'hand', sigma: hand.sigma };
    }
    case 'trimmings':
      return { kind: 'known', massG: 0, range: null, source: 'stated', cause: 'stated', sigma: 0 };
    case 'shared':
    case 'rest':
    case 'relative':
    case 'at-most':
    case 'until':
      return { kind: 'follows' };
  }
}

const mm = (length: Length | null): number => (length ? toMm(length) : 0);

function weighedOrSaid(massG: number, highG: number | null, isWeighed: boolean): Stated {
  if (highG !== null && highG > massG) return between(massG, highG);
  return isWeighed
    ? { kind: 'known', massG, range: null, source: 'weighed', cause: 'weighed', sigma: SIGMA.weighed }
    : statedAs(massG);
}

function byLength(fibre: Fibre, lengthMm: number, highMm = 0): Stated {
  if (fibre.linearGPerM === null) return unknown('linear_unknown');
  const grams = (mm: number) => (mm / 1000) * (fibre.linearGPerM ?? 0);
  return between(grams(lengthMm), grams(Math.max(lengthMm, highMm)));
}

/** A tuft is one staple length pulled off, split lengthwise or not. */
function byTufts(fibre: Fibre, count: number, ways: number): Stated {
  const staple = fibreNumber(fibre, 'stapleMm');
  if (staple === null) return unknown('staple_unknown');
  const stated = byLength(fibre, (count * staple.value) / ways);
  return staple.isDefault ? throughDefault(stated) : stated;
}
