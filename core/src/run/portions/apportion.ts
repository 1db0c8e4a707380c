/**
 * Shares whole steps among weights so that the shares add up exactly (largest remainder).
 * Ties go to the earlier weight. All weights nought gives all steps to the first.
 */
export function apportion(steps: number, weights: readonly number[]): number[] {
  const total = weights.reduce((sum, weight) => sum + weight, 0);
  if (total <= 0) return weights.map((_, index) => (index === 0 ? steps : 0));
  const exact = weights.map((weight) => (steps * weight) / total);
  const shares = exact.map(Math.floor);
  const left = steps - shares.reduce((sum, share) => sum + share, 0);
  const byRemainder = exact
    .map((value, index) => ({ index, remainder: value - Math.floor(value) }))
    .sort((a, b) => b.remainder - a.remainder || a.index - b.index);
  for (const { index } of byRemainder.slice(0, left)) shares[index] = (shares[index] ?? 0) + 1;
  return shares;
}
