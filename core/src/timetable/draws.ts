const { cos, imul, log, PI, sin, sqrt } = Math;

/** Mixes 32 bits so that neighbours have nothing in common (the finaliser of MurmurHash3, Appleby). */
function mixed(value: number): number {
  let bits = value ^ (value >>> 16);
  bits = imul(bits, 0x85ebca6b);
  bits ^= bits >>> 13;
  bits = imul(bits, 0xc2b2ae35);
  return (bits ^ (bits >>> 16)) >>> 0;
}

const STRIDE = 0x9e3779b9;
const PAIR = 0x7f4a7c15;

/**
 * Standard normal numbers of one person in one class, always the same for the same seed, class, seat and place: a class with
 * something changed meets the same people, so that what differs is the change (common random numbers).
 * @param into filled from its beginning
 */
export function drawNormals(into: Float64Array, seed: number, classAt: number, seat: number): void {
  const stream = mixed(mixed(seed ^ imul(classAt + 1, STRIDE)) ^ imul(seat + 1, PAIR));
  for (let at = 0; at < into.length; at += 2) {
    const first = (mixed(stream + imul(at + 1, STRIDE)) + 0.5) / 2 ** 32;
    const second = mixed(stream ^ imul(at + 2, PAIR)) / 2 ** 32;
    // Box and Muller, 1958.
    const radius = sqrt(-2 * log(first));
    into[at] = radius * cos(2 * PI * second);
    if (at + 1 < into.length) into[at + 1] = radius * sin(2 * PI * second);
  }
}
