import type { MassRangeG } from '../base/index.ts';
import { estimatePattern, type Wool } from '../engine/index.ts';
import type { Learnt } from '../learning/index.ts';
import type { Pattern } from '../pattern/index.ts';

/** What a make is told to take, before and after something is taken as learnt. */
export interface MakeChange {
  readonly was: MassRangeG;
  readonly now: MassRangeG;
  readonly fibres: readonly FibreChange[];
}

export interface FibreChange {
  readonly fibreId: string;
  readonly wasG: number;
  readonly nowG: number;
}

/** Under this no scale and no eye would tell. */
const STILL_G = 0.005;

/** @returns null where nothing moves, neither grams nor how sure they are */
export function makeChange(build: Pattern, wool: Wool, now: Learnt): MakeChange | null {
  const [before, after] = [estimatePattern(build, wool), estimatePattern(build, { ...wool, learnt: now })];
  const was = new Map(before.fibres.map(({ fibreId, total }) => [fibreId, total.likelyG]));
  const fibres = after.fibres.map(({ fibreId, total }) => ({
    fibreId,
    wasG: was.get(fibreId) ?? 0,
    nowG: total.likelyG,
  }));
  const isSame = (a: number, b: number) => Math.abs(a - b) < STILL_G;
  const isStill =
    isSame(before.total.likelyG, after.total.likelyG) &&
    isSame(before.total.lowG, after.total.lowG) &&
    isSame(before.total.highG, after.total.highG);
  if (isStill) return null;
  return {
    was: rangeOf(before.total),
    now: rangeOf(after.total),
    fibres: fibres.filter(({ wasG, nowG }) => !isSame(wasG, nowG)),
  };
}

const rangeOf = ({ lowG, likelyG, highG }: MassRangeG): MassRangeG => ({ lowG, likelyG, highG });
