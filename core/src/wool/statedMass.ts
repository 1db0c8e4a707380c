import { type Fibre, fibreNumber } from '../fibre/index.ts';
import { isIncomplete, type Amount } from '../pattern/index.ts';
import { Z90, type ErrorCause, type Source } from '../quantity/index.ts';
import { toMm, type Length } from '../units/index.ts';
import type { Calibration } from './calibration.ts';
import { SIGMA } from './sigmas.ts';
import type { UnknownReason } from './unknown.ts';

/** One piece's amount as its author states it. */
export type Stated =
  | {
      readonly kind: 'known';
      readonly massG: number;
      readonly source: Source;
      readonly cause: ErrorCause;
      /** σ of the log; of each piece where it was weighed, of all together where it was only said. */
      readonly sigma: number;
    }
  | { readonly kind: 'unknown'; readonly reason: UnknownReason }
  /** It follows from other uses (`resolveAmounts`). */
  | { readonly kind: 'follows' };

const unknown = (reason: UnknownReason): Stated => ({ kind: 'unknown', reason });
const said = (massG: number, sigma: number = SIGMA.stated): Stated => ({
  kind: 'known',
  massG,
  source: 'stated',
  cause: 'stated',
  sigma,
});

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
      return said((amount.lotG ?? 0) / (amount.parts ?? 1));
    case 'tops':
      return byLength(fibre, mm(amount.length) / amount.ways);
    case 'tufts':
      return byTufts(fibre, amount.count ?? 0, amount.ways);
    case 'turns': {
      const roundMm = amount.girth ? toMm(amount.girth) : girthMm;
      return roundMm === null ? unknown('sizes_missing') : byLength(fibre, (amount.turns ?? 0) * roundMm);
    }
    case 'strip': {
      const loft = calibration.loft(fibre);
      const volumeCm3 = (mm(amount.length) * mm(amount.width) * mm(amount.depth)) / 1000;
      return loft === null ? unknown('loft_unknown') : said(volumeCm3 * loft);
    }
    case 'sheet':
      return fibre.arealGPerM2 === null
        ? unknown('areal_unknown')
        : said((mm(amount.length) * mm(amount.width) * fibre.arealGPerM2) / 1e6);
    case 'locks':
      return said((amount.count ?? 0) * (amount.eachG ?? 0));
    case 'hand': {
      const hand = calibration.hand(amount.measure);
      if (!hand) return unknown('hand_unweighed');
      const massG = hand.value * (amount.count ?? 0);
      return { kind: 'known', massG, source: 'estimated', cause: 'hand', sigma: hand.sigma };
    }
    case 'trimmings':
      return { kind: 'known', massG: 0, source: 'stated', cause: 'stated', sigma: 0 };
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
  if (highG !== null && highG > massG) {
    return said(Math.sqrt(massG * highG), Math.log(highG / massG) / (2 * Z90));
  }
  return isWeighed
    ? { kind: 'known', massG, source: 'weighed', cause: 'weighed', sigma: SIGMA.weighed }
    : said(massG);
}

const byLength = (fibre: Fibre, lengthMm: number): Stated =>
  fibre.linearGPerM === null ? unknown('linear_unknown') : said((lengthMm / 1000) * fibre.linearGPerM);

/** A tuft is one staple length pulled off, split lengthwise or not. */
function byTufts(fibre: Fibre, count: number, ways: number): Stated {
  const staple = fibreNumber(fibre, 'stapleMm');
  return staple === null ? unknown('staple_unknown') : byLength(fibre, (count * staple.value) / ways);
}
