/**
 * The normal distribution function by Hart’s rational approximation (Computer Approximations, 1968, no. 5666), to about
 * 1e-14; of a tail beyond six standard deviations, to 1e-8 of the tail itself.
 */
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
  [3.3871328727963665, 133.14166789178438, 1971.5909503065513, 13731.69376550946, 45921.95393154987, 67265.7709270087, 33430.57558358813, 2509.0809287301227],
  [1, 42.31333070160091, 687.1870074920579, 5394.196021424751, 21213.794301586597, 39307.89580009271, 28729.085735721943, 5226.495278852546],
] as const; // prettier-ignore
const MIDDLE = [
  [1.4234371107496835, 4.630337846156546, 5.769497221460691, 3.6478483247632045, 1.2704582524523684, 0.2417807251774506, 0.022723844989269184, 0.0007745450142783414],
  [1, 2.053191626637759, 1.6763848301838038, 0.6897673349851, 0.14810397642748008, 0.015198666563616457, 0.0005475938084995345, 1.0507500716444169e-09],
] as const; // prettier-ignore
const FAR = [
  [6.657904643501103, 5.463784911164114, 1.7848265399172913, 0.29656057182850487, 0.026532189526576124, 0.0012426609473880784, 2.7115555687434876e-05, 2.0103343992922881e-07],
  [1, 0.599832206555888, 0.1369298809227358, 0.014875361290850615, 0.0007868691311456133, 1.8463183175100548e-05, 1.421511758316446e-07, 2.0442631033899397e-15],
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
