import {
  commonSigmaG,
  type ErrorCause,
  type MassTerm,
  ownVariance,
  sharedSigmaByGroup,
} from './totalMass.ts';

/** One input of a total, with the part of the total's variance that it brings. */
export interface Doubt {
  readonly group: string;
  readonly cause: ErrorCause;
  /** 0–1; all of a total's add up to 1. */
  readonly fraction: number;
}

/**
 * What makes a total doubtful, the largest first. Shared errors of a group add straight, so each term brings its own
 * share of the group's sum (Euler's allocation); what is a piece's own counts as that.
 */
export function doubtsOf(terms: readonly MassTerm[]): Doubt[] {
  const groups = sharedSigmaByGroup(terms);
  const variances = new Map<string, Omit<Doubt, 'fraction'> & { variance: number }>();
  const add = (group: string, cause: ErrorCause, variance: number) => {
    if (variance <= 0) return;
    const key = `${group} ${cause}`;
    variances.set(key, { group, cause, variance: (variances.get(key)?.variance ?? 0) + variance });
  };
  // What one maker's hands do to everything is one input, of no fibre.
  add('', 'common', commonSigmaG(terms) ** 2);
  for (const term of terms) {
    const { group, cause, pieceG, count, sharedSigma, allSigma = 0, countSigma = 0 } = term;
    const massG = pieceG * count;
    add(group, cause, sharedSigma * massG * (groups.get(group) ?? 0));
    add(group, cause, (allSigma * massG) ** 2);
    add(group, 'count', (countSigma * massG) ** 2);
    add(group, 'piece', ownVariance({ ...term, allSigma: 0, countSigma: 0 }));
  }
  const total = [...variances.values()].reduce((sum, { variance }) => sum + variance, 0);
  return [...variances.values()]
    .map(({ group, cause, variance }) => ({ group, cause, fraction: variance / total }))
    .sort((a, b) => b.fraction - a.fraction);
}
