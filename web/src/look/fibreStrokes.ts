import type { Preparation } from '@lanakit/core';

/** Paths of one shade each, to be stroked over the fibre's own colour. */
export interface FibreStrokes {
  readonly pale: string;
  readonly dark: string;
  readonly strokeWidth: number;
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
}

/** How fibre lies by how it was prepared: tops combed parallel, batts tangled, core batt coarse. */
const LIES: Readonly<Record<Preparation, Lie>> = {
  tops: { length: 60, stray: 0.05, bow: 0.05, strokeWidth: 0.55, areaEach: 15 },
  carded: { length: 13, stray: Math.PI, bow: 0.42, strokeWidth: 0.6, areaEach: 13 },
  batt: { length: 22, stray: 0.8, bow: 0.28, strokeWidth: 0.65, areaEach: 17 },
  'core-batt': { length: 10, stray: Math.PI, bow: 0.6, strokeWidth: 0.8, areaEach: 20 },
};

const MOST_STROKES = 1600;

/**
 * Short curved strokes over a box, the same every time for the same seed.
 * @param width,height of the box, px
 * @param axis direction of the long axis, radians; 0 is to the right
 */
export function fibreStrokes(
  seed: string,
  preparation: Preparation,
  width: number,
  height: number,
  axis: number,
): FibreStrokes {
  const lie = LIES[preparation];
  const random = seeded(seed);
  const count = Math.min(MOST_STROKES, Math.ceil((width * height) / lie.areaEach));
  const strokes = Array.from({ length: count }, () => stroke(random, lie, width, height, axis));
  return {
    pale: strokes.filter((_, index) => index % 2 === 0).join(''),
    dark: strokes.filter((_, index) => index % 2 === 1).join(''),
    strokeWidth: lie.strokeWidth,
  };
}

function stroke(random: () => number, lie: Lie, width: number, height: number, axis: number): string {
  const angle = axis + (random() - 0.5) * 2 * lie.stray;
  const length = lie.length * (0.6 + 0.8 * random());
  const bow = (random() - 0.5) * 2 * lie.bow * length;
  const [dx, dy] = [Math.cos(angle) * length, Math.sin(angle) * length];
  const [x, y] = [random() * (width + length) - length / 2 - dx / 2, random() * height - dy / 2];
  const control = [dx / 2 - Math.sin(angle) * bow, dy / 2 + Math.cos(angle) * bow];
  const show = (value: number | undefined) => (value ?? 0).toFixed(1);
  return `M${show(x)} ${show(y)}q${show(control[0])} ${show(control[1])} ${show(dx)} ${show(dy)}`;
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
