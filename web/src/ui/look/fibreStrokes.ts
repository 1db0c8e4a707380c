import type { Preparation } from '@lanakit/core/shelf';

/** A square of fibre that repeats without a seam: SVG paths of two shades, to be stroked over the fibre's colour. */
export interface FibreStrokes {
  readonly pale: string;
  readonly dark: string;
  readonly strokeWidth: number;
  /** Each stroke by itself, for who colours them one by one. */
  readonly strokes: readonly string[];
}

interface Lie {
  /** How long a stroke is, px. */
  readonly length: number;
  /** How far directions stray from the long axis, radians. */
  readonly stray: number;
  /** How far a stroke bows, as a fraction of its length. */
  readonly bow: number;
  readonly strokeWidth: number;
  /** px² of cloth for each stroke. */
  readonly areaEach: number;
  /** Bends of a crimped stroke; without them it bows once. */
  readonly bends?: number;
  /** Where the strokes point, radians from the long axis. */
  readonly slant?: number;
}

/**
 * How fibre lies by how it was prepared: tops combed parallel, batts laid one way, sliver tangled fine, core batt in coarse curls. Told apart
 * by the lie alone: at arm’s length and on a black-and-white printer there is no colour to go by.
 */
const LIES: Readonly<Record<Preparation, Lie>> = {
  tops: { length: 60, stray: 0.05, bow: 0.05, strokeWidth: 0.55, areaEach: 15 },
  carded: { length: 15, stray: Math.PI, bow: 0.3, strokeWidth: 0.5, areaEach: 11 },
  batt: { length: 24, stray: 0.62, bow: 0.28, strokeWidth: 0.75, areaEach: 18 },
  locks: { length: 52, stray: 0.22, bow: 0.09, strokeWidth: 1, areaEach: 34, bends: 7 },
  'pre-felt': { length: 5, stray: Math.PI, bow: 0.2, strokeWidth: 0.9, areaEach: 20 },
  felt: { length: 1.6, stray: Math.PI, bow: 0, strokeWidth: 0.8, areaEach: 12 },
  yarn: { length: 15, stray: 0.16, bow: 0.12, strokeWidth: 1.1, areaEach: 22, slant: 0.62 },
  loose: { length: 26, stray: Math.PI, bow: 0.5, strokeWidth: 0.55, areaEach: 24 },
  'core-batt': { length: 12, stray: Math.PI, bow: 1.3, strokeWidth: 1.35, areaEach: 46 },
};

/** Large enough that no piece on a screen shows the same lock many times. */
export const TILE_PX = 140;

/** The strokes of a preparation, the same every time; their long axis lies to the right. */
export function fibreStrokes(preparation: Preparation): FibreStrokes {
  const lie = LIES[preparation];
  const random = seeded(preparation);
  const strokes = Array.from({ length: Math.ceil(TILE_PX ** 2 / lie.areaEach) }, () => stroke(random, lie));
  return {
    pale: strokes.filter((_, index) => index % 2 === 0).join(''),
    dark: strokes.filter((_, index) => index % 2 === 1).join(''),
    strokeWidth: lie.strokeWidth,
    strokes,
  };
}

/** One stroke, and its copies a tile away where it crosses an edge. */
function stroke(random: () => number, lie: Lie): string {
  const angle = (lie.slant ?? 0) + (random() - 0.5) * 2 * lie.stray;
  const length = lie.length * (0.6 + 0.8 * random());
  const bow = (random() - 0.5) * 2 * lie.bow * length;
  const [dx, dy] = [Math.cos(angle) * length, Math.sin(angle) * length];
  const [x, y] = [random() * TILE_PX, random() * TILE_PX];
  const bends = lie.bends ?? 1;
  // A crimped lock bows to one side and the other, bend after bend.
  const curve = Array.from({ length: bends }, (_, i) => {
    const side = (i % 2 === 0 ? 1 : -1) * bow;
    const [along, down] = [dx / bends, dy / bends];
    return `q${show(along / 2 - Math.sin(angle) * side)} ${show(down / 2 + Math.cos(angle) * side)} ${show(along)} ${show(down)}`;
  }).join('');
  const shifts = (from: number, to: number) => [
    0,
    ...(Math.max(from, to) + Math.abs(bow) > TILE_PX ? [-TILE_PX] : []),
    ...(Math.min(from, to) - Math.abs(bow) < 0 ? [TILE_PX] : []),
  ];
  return shifts(x, x + dx)
    .flatMap((shiftX) =>
      shifts(y, y + dy).map((shiftY) => `M${show(x + shiftX)} ${show(y + shiftY)}${curve}`),
    )
    .join('');
}

const show = (value: number): string => value.toFixed(1);

/** Where in the tile a thing begins, so that two pieces of one fibre do not look copied. */
export function tileShiftPx(seed: string): readonly [number, number] {
  const random = seeded(seed);
  return [Math.floor(random() * TILE_PX), Math.floor(random() * TILE_PX)];
}

/** A small generator (mulberry32) started from a text: drawings must not flicker from render to render. */
function seeded(text: string): () => number {
  let state = [...text].reduce((hash, char) => Math.imul(hash ^ char.charCodeAt(0), 0x01000193), 0x811c9dc5);
  return () => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
}
