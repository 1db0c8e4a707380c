/** The normal distribution function by Hart’s rational approximation (Computer Approximations, 1968, no. 5666), to about 1e-14. */
export function normalCdf(z: number): number {
  const x = Math.abs(z);
  if (x > 37) return z > 0 ? 1 : 0;
  const e = Math.exp((-x * x) / 2);
  const tail =
    x < 7.07106781186547
      ? (e *
          ((((((3.52624965998911e-2 * x + 0.700383064443688) * x + 6.37396220353165) * x + 33.912866078383) *
            x +
            112.079291497871) *
            x +
            221.213596169931) *
            x +
            220.206867912376)) /
        (((((((8.83883476483184e-2 * x + 1.75566716318264) * x + 16.064177579207) * x + 86.7807322029461) *
          x +
          296.564248779674) *
          x +
          637.333633378831) *
          x +
          793.826512519948) *
          x +
          440.413735824752)
      : e / (x + 1 / (x + 2 / (x + 3 / (x + 4 / (x + 0.65))))) / 2.506628274631;
  return z > 0 ? 1 - tail : tail;
}

const polynomial = (x: number, coefficients: readonly number[]): number =>
  coefficients.reduceRight((sum, coefficient) => sum * x + coefficient, 0);

/** Wichura, Algorithm AS 241 (PPND16), Applied Statistics 37 (1988): about 1e-16 relative. */
const CENTRAL = [
  [3.387132872796366608, 133.14166789178437745, 1971.5909503065514427, 13731.693765509461125, 45921.953931549871457, 67265.770927008700853, 33430.575583588128105, 2509.0809287301226727],
  [1, 42.313330701600911252, 687.1870074920579083, 5394.1960214247511077, 21213.794301586595867, 39307.89580009271061, 28729.085735721942674, 5226.495278852545925],
] as const; // prettier-ignore
const MIDDLE = [
  [1.42343711074968357734, 4.6303378461565452959, 5.7694972214606914055, 3.64784832476320460504, 1.27045825245236838258, 0.24178072517745061177, 0.0227238449892691845833, 7.7454501427834140764e-4],
  [1, 2.05319162663775882187, 1.6763848301838038494, 0.68976733498510000455, 0.14810397642748007459, 0.0151986665636164571966, 5.475938084995344946e-4, 1.05075007164441684324e-9],
] as const; // prettier-ignore
const FAR = [
  [6.6579046435011037772, 5.4637849111641143699, 1.7848265399172913358, 0.29656057182850489123, 0.026532189526576123093, 0.0012426609473880784386, 2.71155556874348757815e-5, 2.01033439929228813265e-7],
  [1, 0.59983220655588793769, 0.13692988092273580531, 0.0148753612908506148525, 7.868691311456132591e-4, 1.8463183175100546818e-5, 1.4215117583164458887e-7, 2.04426310338993978564e-15],
] as const; // prettier-ignore

/** The quantile of the normal distribution. @param probability 0 < p < 1 */
export function normalQuantile(probability: number): number {
  const q = probability - 0.5;
  if (Math.abs(q) <= 0.425) {
    const r = 0.180625 - q * q;
    return (q * polynomial(r, CENTRAL[0])) / polynomial(r, CENTRAL[1]);
  }
  const r = Math.sqrt(-Math.log(q < 0 ? probability : 1 - probability));
  const [table, x] = r <= 5 ? [MIDDLE, r - 1.6] : [FAR, r - 5];
  const z = polynomial(x, table[0]) / polynomial(x, table[1]);
  return q < 0 ? -z : z;
}
