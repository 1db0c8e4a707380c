/**
 * The pear's wool worked out here on its own, from the sizes that the journeys type, by the formulas of
 * docs/computation.md. Colours and CIEDE2000 are this file's own too (Sharma, Wu & Dalal 2005).
 */
const FIRM = 0.15;
const SOLID = 0.2;

export const FIBRES = {
  chalk: { name: 'Chalk', colour: '#e6e0d2' },
  pear: { name: 'Pear', colour: '#a9b04a' },
  walnut: { name: 'Walnut', colour: '#5a3d28' },
} as const;

/** Egg 74 × 56, widest at 40 %, firm, with a coat; stalk: limb 22 × 6, solid; two leaves 38 × 20 × 3, firm. */
export function pearGrams() {
  const eggCm3 = ((2 / 3) * Math.PI * 28 ** 2 * 74) / 1000;
  const coatG = (coatGPerM2(FIBRES.chalk.colour, FIBRES.pear.colour) * eggAreaMm2(29.6, 44.4, 28)) / 1e6;
  const coreG = (eggCm3 - coatG / FIRM) * FIRM;
  const stalkG = ((Math.PI * 9 * (16 + 4)) / 1000) * SOLID;
  const leavesG = (2 * (Math.PI * 19 * 10 * 3) * FIRM) / 1000;
  return { coreG, coatG, stalkG, leavesG, totalG: coreG + coatG + stalkG + leavesG };
}

/** Two half-spheroids: prolate areas in closed form. */
function eggAreaMm2(blunt: number, pointed: number, radius: number): number {
  const half = (height: number) => {
    const e = Math.sqrt(1 - radius ** 2 / height ** 2);
    return Math.PI * radius ** 2 * (1 + (height / (radius * e)) * Math.asin(e));
  };
  return half(blunt) + half(pointed);
}

function coatGPerM2(core: string, coat: string): number {
  const hides = 80 * (lab(coat).L > 80 ? 1.15 : lab(coat).L < 35 ? 0.85 : 1);
  return Math.max(80, hides * Math.log(Math.max(3, ciede2000(lab(core), lab(coat))) / 3));
}

interface Lab {
  readonly L: number;
  readonly a: number;
  readonly b: number;
}

function lab(hex: string): Lab {
  const [r = 0, g = 0, b = 0] = [1, 3, 5].map((at) => {
    const value = parseInt(hex.slice(at, at + 2), 16) / 255;
    return value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
  });
  const x = (0.4124564 * r + 0.3575761 * g + 0.1804375 * b) / 0.95047;
  const y = 0.2126729 * r + 0.7151522 * g + 0.072175 * b;
  const z = (0.0193339 * r + 0.119192 * g + 0.9503041 * b) / 1.08883;
  const f = (t: number) => (t > (6 / 29) ** 3 ? Math.cbrt(t) : t / (3 * (6 / 29) ** 2) + 4 / 29);
  return { L: 116 * f(y) - 16, a: 500 * (f(x) - f(y)), b: 200 * (f(y) - f(z)) };
}

const DEG = Math.PI / 180;

function ciede2000(first: Lab, two: Lab): number {
  const meanC = (Math.hypot(first.a, first.b) + Math.hypot(two.a, two.b)) / 2;
  const G = 0.5 * (1 - Math.sqrt(meanC ** 7 / (meanC ** 7 + 25 ** 7)));
  const [C1, h1] = polar(first.a * (1 + G), first.b);
  const [C2, h2] = polar(two.a * (1 + G), two.b);
  const turn = h2 - h1 > 180 ? h2 - h1 - 360 : h2 - h1 < -180 ? h2 - h1 + 360 : h2 - h1;
  const dH = 2 * Math.sqrt(C1 * C2) * Math.sin((turn / 2) * DEG);
  const [L, C] = [(first.L + two.L) / 2, (C1 + C2) / 2];
  const h = Math.abs(h1 - h2) > 180 ? (h1 + h2 + 360) / 2 : (h1 + h2) / 2;
  const cos = (k: number, off: number) => Math.cos((k * h + off) * DEG);
  const T = 1 - 0.17 * cos(1, -30) + 0.24 * cos(2, 0) + 0.32 * cos(3, 6) - 0.2 * cos(4, -63);
  const SL = 1 + (0.015 * (L - 50) ** 2) / Math.sqrt(20 + (L - 50) ** 2);
  const [SC, SH] = [1 + 0.045 * C, 1 + 0.015 * C * T];
  const RT =
    -Math.sin(2 * 30 * Math.exp(-(((h - 275) / 25) ** 2)) * DEG) * 2 * Math.sqrt(C ** 7 / (C ** 7 + 25 ** 7));
  const [l, c, t] = [(two.L - first.L) / SL, (C2 - C1) / SC, dH / SH];
  return Math.sqrt(l * l + c * c + t * t + RT * c * t);
}

const polar = (a: number, b: number): [chroma: number, hueDeg: number] => [
  Math.hypot(a, b),
  (Math.atan2(b, a) / DEG + 360) % 360,
];
