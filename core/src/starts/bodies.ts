import type { Length } from '../base/index.ts';
import { type Part, type Place, type Placement, straightOut, UPRIGHT } from '../pattern/index.ts';
import type { StartBody, StartPart } from './body.ts';

const mm = (value: number): Length => ({ value, unit: 'mm' });
type Shape = Part['shape'];
const ball = (diameter: number): Shape => ({ kind: 'ball', diameter: mm(diameter) });
const egg = (length: number, diameter: number, widestAtFraction = 0.4): Shape => ({
  kind: 'egg',
  length: mm(length),
  diameter: mm(diameter),
  widestAtFraction,
});
const ellipsoid = (length: number, width: number, height: number): Shape => ({
  kind: 'ellipsoid',
  length: mm(length),
  width: mm(width),
  height: mm(height),
});
const limb = (length: number, diameter: number): Shape => ({
  kind: 'limb',
  length: mm(length),
  diameter: mm(diameter),
});
const taper = (length: number, thickEnd: number, thinEnd: number): Shape => ({
  kind: 'taper',
  length: mm(length),
  thickEnd: mm(thickEnd),
  thinEnd: mm(thinEnd),
});
const flat = (length: number, width: number, thickness: number): Shape => ({
  kind: 'flat-ellipse',
  length: mm(length),
  width: mm(width),
  thickness: mm(thickness),
});
const dome = (diameter: number, rise: number): Shape => ({
  kind: 'dome',
  diameter: mm(diameter),
  rise: mm(rise),
});

const at = (
  rule: Placement['rule'],
  places: readonly Place[],
  heldBy: Placement['heldBy'] = 'base',
  spanDeg = 360,
): Placement => ({ rule, spanDeg, heldBy, places: [...places] });
const leaning = (aroundDeg: number, heightFraction: number, leanUpDeg: number, twistDeg = 0): Place => ({
  ...straightOut(aroundDeg, heightFraction),
  leanUpDeg,
  twistDeg,
});

const eyes = (
  diameterMm: number,
  aroundDeg: number,
  heightFraction: number,
): NonNullable<StartPart['marks']>[number] => ({
  is: 'dot',
  diameterMm,
  wool: 'dark',
  count: 2,
  words: 'eyes',
  placement: at('mirror', [straightOut(aroundDeg, heightFraction)]),
});
const nose = (diameterMm: number, heightFraction: number): NonNullable<StartPart['marks']>[number] => ({
  is: 'dot',
  diameterMm,
  wool: 'dark',
  count: 1,
  words: 'nose',
  placement: at('each', [straightOut(0, heightFraction)]),
});

/** Ten bodies to begin from. They are nobody’s design: what makes one of them a figure is what its author does to it. */
export const START_BODIES: readonly StartBody[] = [
  {
    id: 'face',
    name: 'Round with a face',
    words: 'one ball, two eyes, cheeks',
    heightMm: 60,
    stance: { ...UPRIGHT, rests: 'sits', flatAcross: mm(24) },
    parts: [
      {
        name: 'Body',
        shape: ball(60),
        wool: 'core',
        coat: 'main',
        marks: [
          eyes(6, 22, 0.58),
          nose(5, 0.5),
          { is: 'patch', lengthMm: 11, widthMm: 8, wool: 'second', count: 2, words: 'cheeks', placement: at('mirror', [straightOut(42, 0.46)]) },
        ],
      },
    ],
  },
  {
    id: 'sits',
    name: 'Sits',
    words: 'body, head, ears, arms, legs to the front',
    heightMm: 124,
    stance: { ...UPRIGHT, rests: 'sits', flatAcross: mm(36) },
    parts: [
      { name: 'Body', shape: egg(74, 58, 0.36), wool: 'core', coat: 'main', marks: [{ is: 'patch', lengthMm: 40, widthMm: 30, wool: 'second', count: 1, words: 'belly', placement: at('each', [straightOut(0, 0.42)]) }] },
      { name: 'Head', shape: ellipsoid(46, 50, 46), wool: 'core', coat: 'main', on: { host: 'Body', sinkMm: 5, hasNoLooseEnd: true, placement: at('each', [straightOut(0, 1)]) }, marks: [eyes(5, 26, 0.62)] },
      { name: 'Muzzle', shape: dome(18, 8), wool: 'second', on: { host: 'Head', sinkMm: 2, hasNoLooseEnd: true, placement: at('each', [straightOut(0, 0.36)]) }, marks: [nose(5, 0.9)] },
      { name: 'Ear', shape: flat(18, 17, 5), count: 2, wool: 'main', on: { host: 'Head', sinkMm: 3, placement: at('mirror', [leaning(62, 0.86, 20)]) } },
      { name: 'Arm', shape: taper(40, 14, 10), count: 2, wool: 'main', on: { host: 'Body', sinkMm: 4, placement: at('mirror', [leaning(62, 0.72, -42)]) } },
      { name: 'Leg', shape: taper(42, 18, 14), count: 2, wool: 'main', on: { host: 'Body', sinkMm: 6, placement: at('mirror', [leaning(34, 0.12, 42)]) } },
    ],
  },
  {
    id: 'on-four',
    name: 'Stands on four',
    words: 'body along, four legs, head ahead, tail',
    heightMm: 101,
    lookDeg: -40,
    stance: { ...UPRIGHT, pitchDeg: 90 },
    parts: [
      { name: 'Body', shape: ellipsoid(92, 54, 50), wool: 'core', coat: 'main' },
      { name: 'Head', shape: egg(44, 38, 0.45), wool: 'core', coat: 'main', on: { host: 'Body', sinkMm: 9, hasNoLooseEnd: true }, marks: [eyes(5, 34, 0.6), nose(5, 0.36)] },
      { name: 'Ear', shape: flat(18, 14, 4), count: 2, wool: 'main', on: { host: 'Head', sinkMm: 3, placement: at('mirror', [leaning(74, 0.84, 25)]) } },
      { name: 'Leg', shape: taper(44, 17, 14), count: 4, wool: 'main', firmness: 'solid', on: { host: 'Body', sinkMm: 7 } },
      { name: 'Tail', shape: taper(34, 9, 4), wool: 'main', on: { host: 'Body', sinkMm: 3 } },
    ],
  },
  {
    id: 'on-two',
    name: 'Stands on two',
    words: 'body, head, arms, two legs on wire with feet',
    wire: { name: 'leg wire', through: 'Leg', count: 2, intoHostMm: 32, beyondMm: 22 },
    heightMm: 152,
    stance: UPRIGHT,
    parts: [
      { name: 'Body', shape: egg(66, 50, 0.42), wool: 'core', coat: 'main' },
      { name: 'Head', shape: ball(42), wool: 'core', coat: 'second', on: { host: 'Body', sinkMm: 4, hasNoLooseEnd: true, placement: at('each', [straightOut(0, 1)]) }, marks: [eyes(4, 26, 0.55), nose(4, 0.44)] },
      { name: 'Arm', shape: taper(46, 12, 9), count: 2, wool: 'main', on: { host: 'Body', sinkMm: 4, placement: at('mirror', [leaning(80, 0.74, -52)]) } },
      { name: 'Leg', shape: { kind: 'sleeve', length: mm(52), diameter: mm(13), wire: mm(1.2) }, count: 2, wool: 'second', firmness: 'solid', on: { host: 'Body', sinkMm: 6, placement: at('mirror', [leaning(62, 0.1, -43.3)]) } },
      { name: 'Foot', shape: flat(34, 22, 9), count: 2, wool: 'dark', firmness: 'solid', on: { host: 'Leg', sinkMm: 3, hasNoLooseEnd: true, placement: at('mirror', [straightOut(180, 1)], 'side') } },
    ],
  },
  {
    id: 'lies',
    name: 'Lies',
    words: 'a long body on its belly, head up, paws ahead, tail',
    heightMm: 60,
    lookDeg: -50,
    // On its belly: as high as it is from the table up, not from head to tail.
    stance: { ...UPRIGHT, rests: 'sits', pitchDeg: 90 },
    parts: [
      { name: 'Body', shape: ellipsoid(96, 58, 46), wool: 'core', coat: 'main' },
      { name: 'Head', shape: ellipsoid(38, 40, 36), wool: 'core', coat: 'main', on: { host: 'Body', sinkMm: 10, hasNoLooseEnd: true }, marks: [eyes(5, 30, 0.6), nose(5, 0.4)] },
      { name: 'Ear', shape: flat(16, 14, 4), count: 2, wool: 'main', on: { host: 'Head', sinkMm: 3, placement: at('mirror', [leaning(70, 0.84, 15)]) } },
      { name: 'Paw', shape: taper(30, 15, 12), count: 2, wool: 'main', on: { host: 'Body', sinkMm: 5, placement: at('mirror', [leaning(58, 0.78, 58)]) } },
      { name: 'Tail', shape: taper(40, 11, 7), wool: 'main', on: { host: 'Body', sinkMm: 4 } },
    ],
  },
  {
    id: 'swims',
    name: 'Swims',
    words: 'a long body, tail, fins',
    heightMm: 64,
    lookDeg: 90,
    stance: { ...UPRIGHT, pitchDeg: 90 },
    parts: [
      { name: 'Body', shape: egg(104, 48, 0.6), wool: 'core', coat: 'main', marks: [
        { is: 'dot', diameterMm: 5, wool: 'dark', count: 2, words: 'eyes', placement: at('mirror', [straightOut(112, 0.84)]) },
        { is: 'patch', lengthMm: 62, widthMm: 26, wool: 'second', count: 1, words: 'belly', placement: at('each', [straightOut(0, 0.55)]) },
      ] },
      { name: 'Tail', shape: flat(40, 34, 5), wool: 'main', on: { host: 'Body', sinkMm: 5, placement: at('each', [{ ...straightOut(0, 0), twistDeg: 90 }]) } },
      { name: 'Side fin', shape: flat(34, 18, 5), count: 2, wool: 'main', on: { host: 'Body', sinkMm: 3, placement: at('mirror', [leaning(80, 0.62, -40, 90)]) } },
      { name: 'Top fin', shape: flat(20, 26, 5), wool: 'main', on: { host: 'Body', sinkMm: 4, placement: at('each', [leaning(180, 0.56, -20, 90)]) } },
    ],
  },
  {
    id: 'hangs',
    name: 'Hangs',
    words: 'a drop with a collar, hung from its top',
    heightMm: 88,
    stance: { ...UPRIGHT, rests: 'hangs', hangAt: { partId: 'body', aroundDeg: 0, heightFraction: 1 } },
    parts: [
      { name: 'Body', shape: { kind: 'drop', length: mm(88), diameter: mm(54) }, wool: 'core', coat: 'main', marks: [
        { is: 'dot', diameterMm: 6, wool: 'second', count: 9, words: 'dots all round', placement: at('ring', [straightOut(0, 0.36)]) },
      ] },
      { name: 'Petal', shape: flat(30, 16, 4), count: 5, wool: 'second', on: { host: 'Body', sinkMm: 3, placement: at('ring', [leaning(0, 0.82, -68)]) } },
    ],
  },
  {
    id: 'flat',
    name: 'Flat, to pin',
    words: 'a flat body with spots; a pin goes on its back',
    heightMm: 61,
    stance: UPRIGHT,
    parts: [
      { name: 'Body', shape: flat(52, 44, 8), wool: 'main', firmness: 'solid', marks: [
        { is: 'line', lengthMm: 40, wool: 'dark', count: 1, words: 'down the middle', placement: at('each', [{ ...straightOut(0, 0.5), twistDeg: 90 }]) },
        { is: 'dot', diameterMm: 7, wool: 'dark', count: 4, words: 'spots', placement: at('mirror', [straightOut(30, 0.34), straightOut(30, 0.66)]) },
      ] },
      { name: 'Head', shape: flat(18, 24, 8), wool: 'dark', firmness: 'solid', on: { host: 'Body', sinkMm: 9, hasNoLooseEnd: true, placement: at('each', [straightOut(0, 1)]) } },
    ],
  },
  {
    id: 'fruit',
    name: 'A fruit',
    words: 'a round body, a stalk, a leaf, a blush',
    heightMm: 86,
    stance: { ...UPRIGHT, rests: 'sits', flatAcross: mm(22) },
    parts: [
      { name: 'Body', shape: egg(62, 64, 0.5), wool: 'core', coat: 'main', marks: [
        { is: 'patch', lengthMm: 30, widthMm: 22, wool: 'second', count: 1, words: 'blush', placement: at('each', [straightOut(40, 0.56)]) },
      ] },
      { name: 'Stalk', shape: limb(20, 5), wool: 'dark', firmness: 'solid', on: { host: 'Body', sinkMm: 4, placement: at('each', [straightOut(0, 1)]) } },
      { name: 'Leaf', shape: flat(34, 18, 3), wool: 'second', on: { host: 'Stalk', hasNoLooseEnd: true, placement: at('each', [leaning(84, 0.5, 24)]) } },
    ],
  },
  {
    id: 'nest',
    name: 'A nest of parts',
    words: 'a shallow bowl and three eggs in it',
    heightMm: 46,
    stance: { ...UPRIGHT, rests: 'sits' },
    parts: [
      { name: 'Bowl', shape: ellipsoid(26, 92, 92), wool: 'core', coat: 'second' },
      { name: 'Egg', shape: egg(30, 23, 0.42), count: 3, wool: 'core', coat: 'main', on: { host: 'Bowl', sinkMm: 8, hasNoLooseEnd: true, placement: at('ring', [{ ...straightOut(0, 0.93), leanUpDeg: 0 }]) }, marks: [
        { is: 'dot', diameterMm: 2, wool: 'dark', count: 5, words: 'freckles', placement: at('ring', [straightOut(0, 0.7)]) },
      ] },
    ],
  },
]; // prettier-ignore

export const startBody = (id: string): StartBody | null =>
  START_BODIES.find((body) => body.id === id) ?? null;
