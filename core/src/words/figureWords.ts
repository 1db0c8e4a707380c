import { type LengthUnit, showSizesMm } from '../base/index.ts';
import {
  type EnclosureFit,
  type FigureTells,
  type Fit,
  type Mend,
  type NotWeighed,
  type ProportionTold,
  type Standing,
  type WayIn,
  type WireEnd,
} from '../figure/index.ts';
import { type NotPlaced } from '../placing/index.ts';
import type {
  CutRuns,
  Enclosure,
  EnclosureShape,
  HeldBy,
  MeasuredSize,
  PairRule,
  Pattern,
  Rests,
} from '../pattern/index.ts';
import type { SizeName } from '../shapes/index.ts';
import { sizeWords } from './sizeWords.ts';
import { showLikely } from './amounts.ts';

export const HELD_WORDS: Readonly<Record<HeldBy, string>> = {
  base: 'its base',
  tip: 'its tip',
  middle: 'its middle',
  side: 'its side',
};

export const PAIR_RULE_WORDS: Readonly<Record<PairRule, string>> = {
  mirror: 'mirrored pairs',
  copy: 'pairs of one hand',
  parted: 'made as one, parted',
  ring: 'in a ring',
  row: 'in a row',
  each: 'each its own',
};

/** Which way something cut runs off what it is set on. */
export const CUT_RUNS_WORDS: Readonly<Record<CutRuns, string>> = {
  out: 'stands off it',
  down: 'hangs from it',
  up: 'the figure hangs by it',
};

export const RESTS_WORDS: Readonly<Record<Rests, string>> = {
  stands: 'stands',
  sits: 'sits',
  lies: 'lies',
  hangs: 'hangs',
};

/** Under this much of a turn a way is straight to one side: tangent of 22.5°. */
const STRAIGHT = Math.SQRT2 - 1;

/** “the front”, “the back and its left”: x is the figure’s left, z its front. */
export function sideWords([x, z]: readonly [number, number]): string {
  const sides = [
    ...(Math.abs(z) > Math.abs(x) * STRAIGHT ? [z > 0 ? 'the front' : 'the back'] : []),
    ...(Math.abs(x) > Math.abs(z) * STRAIGHT ? [x > 0 ? 'its left' : 'its right'] : []),
  ];
  return sides.join(' and ');
}

/** To a tenth where a degree matters. */
const angle = (angleDeg: number): string =>
  `${angleDeg < 20 ? Math.round(angleDeg * 10) / 10 : Math.round(angleDeg)}°`;
const lengthMm = (mm: number, unit: LengthUnit): string => showSizesMm([mm], unit);

/** A chance as people say it: never certain where grams are not. */
function chanceWords(chance: number): string {
  if (chance >= 0.995) return 'as good as certain';
  const tenths = Math.round(chance * 10);
  return tenths >= 10 ? 'more than 9 in 10' : tenths <= 0 ? 'less than 1 in 10' : `${tenths} in 10`;
}

/** Whether and how surely a figure rests as it should. */
export function standingWords(standing: Standing, rests: Rests, unit: LengthUnit): string {
  switch (standing.kind) {
    case 'unknown':
      return 'How it stands is unknown until something weighs anything.';
    case 'no-flat':
      return 'It rests on a point or a line: it rolls or tips over.';
    case 'stands':
      return `It ${RESTS_WORDS[rests]}, ${chanceWords(standing.chance)}: its weight lies ${lengthMm(standing.marginMm, unit)} within what it rests on. It tips first to ${sideWords(standing.toward)}, at ${angle(standing.tipDeg)}.`;
    case 'falls':
      return `It falls to ${sideWords(standing.toward)}: its weight lies ${lengthMm(-standing.marginMm, unit)} outside what it rests on.`;
  }
}

/** What would keep a figure up, as something to do. */
export function keepUpWords(mend: Mend, unit: LengthUnit): string {
  const then = 'tipDeg' in mend.standing ? `; then it tips at ${angle(mend.standing.tipDeg)}` : '';
  switch (mend.kind) {
    case 'weight':
      return `${showLikely(mend.massG)} of weight, low on the other side${then}`;
    case 'feet':
      return `what it stands on ${lengthMm(mend.byMm, unit)} further to ${sideWords(mend.toward)}${then}`;
    case 'flat':
      return `a flat felted under it, ${lengthMm(mend.acrossMm, unit)} across${then}`;
  }
}

/** How it hangs from where it is hung. */
export function hangingWords({ hangs }: NonNullable<FigureTells['hanging']>): string {
  if (hangs.isCovered) return 'Where it hangs from lies under another piece.';
  if (!hangs.isAboveCentre) return 'Where it hangs from lies under its weight: it turns over.';
  const { tiltDeg, toward } = hangs;
  if (toward === null || tiltDeg < 0.5) return 'It hangs straight.';
  return `It hangs tilted ${angle(tiltDeg)} to ${sideWords(toward)}.`;
}

/** How high, wide and deep it is, against the height that is stated. */
export function overAllWords({ size, height }: FigureTells, unit: LengthUnit): string {
  if (!size) return 'How large it is is unknown until a part has its sizes.';
  const sizes = `${lengthMm(size.heightMm, unit)} high, ${lengthMm(size.widthMm, unit)} wide, ${lengthMm(size.depthMm, unit)} deep`;
  if (!height) return `${sizes}; no height is stated`;
  if (height.kind === 'more-than-pieces')
    return `${sizes}, without what is cut for it: the stated ${lengthMm(height.statedMm, unit)} is with that`;
  const stated = `stated ${lengthMm(height.statedMm, unit)}`;
  const percent = Math.round(Math.abs(height.off) * 100);
  return height.isOff
    ? `${sizes}; ${stated}: ${percent} % ${height.off > 0 ? 'more' : 'less'}`
    : `${sizes}, as stated`;
}

const nameOf = (items: readonly { readonly id: string; readonly name: string }[], id: string): string =>
  items.find((item) => item.id === id)?.name || 'Unnamed';

/** Why a piece is not in the figure. */
export function notPlacedWords(notPlaced: NotPlaced, { parts }: Pick<Pattern, 'parts'>): string {
  const name = nameOf(parts, notPlaced.partId);
  switch (notPlaced.why) {
    case 'size_unknown':
      return `${name}: its size is unknown`;
    case 'host_not_placed':
      return `${name}: what it is set on is not here`;
    case 'set_on_nothing':
      return `${name}: set on nothing, give it a join`;
    case 'places_too_few':
      return `${name}: ${notPlaced.count} more than there are places`;
  }
}

/** What is missing from the weight of a figure, by name. */
export function notWeighedWords(
  { why, what, id, ...more }: NotWeighed,
  { parts, cuts }: Pick<Pattern, 'parts' | 'cuts'>,
  nameOfFinding: (findingUseId: string) => string,
): string {
  const name =
    what === 'part'
      ? nameOf(parts, id)
      : what === 'cut'
        ? nameOf(cuts, id)
        : what === 'finding'
          ? nameOfFinding(id)
          : 'the cover of a join';
  if (why === 'mass_unknown') return `${name} (grams unknown)`;
  return `${name} (${'massG' in more ? showLikely(more.massG) : ''}, no place)`;
}

/** How a pair of things, or something stiff, goes where it is put. */
export function fitWords(fit: Fit, name: string, unit: LengthUnit): string {
  if (fit.kind === 'bar')
    return `${name}: ${lengthMm(fit.barMm, unit)} long, the flat there is ${lengthMm(fit.flatMm, unit)}`;
  if (fit.kind === 'post')
    return `${name}: its post goes ${lengthMm(fit.postMm, unit)} in, and there are ${lengthMm(fit.depthMm, unit)} of wool`;
  if (fit.gapMm < 0) return `${name}: they lie ${lengthMm(-fit.gapMm, unit)} over one another`;
  const edge =
    fit.edgeMm < 0
      ? `${lengthMm(-fit.edgeMm, unit)} over the edge`
      : `${lengthMm(fit.edgeMm, unit)} to the edge`;
  return `${name}: ${lengthMm(fit.gapMm, unit)} between them, ${edge}`;
}

/** `Head diameter`, `height over all`. */
export const measuredWords = (measured: MeasuredSize, { parts }: Pick<Pattern, 'parts'>): string =>
  measured.of === 'figure'
    ? `${measured.size} over all`
    : `${nameOf(parts, measured.partId)} ${sizeWords(measured.size as SizeName) ?? measured.size}`;

const ratioNumber = (ratio: number): string => String(Math.round(ratio * 100) / 100);

/** What a proportion comes to, against what is wanted. */
export function proportionWords(told: ProportionTold, build: Pick<Pattern, 'parts'>): string {
  const { a, b, ratio, toleranceFraction } = told.proportion;
  const of = `${measuredWords(a, build)} : ${measuredWords(b, build)}`;
  const wanted = `${ratioNumber(ratio)} ± ${Math.round(toleranceFraction * 1000) / 10} %`;
  if (told.kind === 'unknown') return `${of}: unknown, ${wanted} wanted`;
  return told.isBroken
    ? `${of} is ${ratioNumber(told.ratio)}, and ${wanted} is wanted: ${Math.round(Math.abs(told.off) * 100)} % too ${told.off > 0 ? 'large' : 'small'}`
    : `${of} is ${ratioNumber(told.ratio)}, as wanted (${wanted})`;
}

export const ENCLOSURE_WORDS: Readonly<Record<EnclosureShape, string>> = {
  box: 'box',
  round: 'basket or jar',
  dome: 'dome',
  frame: 'frame',
};

const WAY_IN_WORDS: Readonly<Record<WayIn, string>> = {
  'head-first': 'head first',
  'side-first': 'side first',
  'front-first': 'front first',
};

export const enclosureName = ({ name, shape }: Enclosure): string => name || `the ${ENCLOSURE_WORDS[shape]}`;

/** Whether a figure goes into something, with what there is to spare. */
export function enclosureWords(fit: EnclosureFit, unit: LengthUnit): string {
  const into = enclosureName(fit.enclosure);
  switch (fit.kind) {
    case 'no-figure':
      return `Into ${into}: unknown until a part has its sizes.`;
    case 'sizes-missing':
      return `Into ${into}: unknown until it is said how wide and how high it is inside.`;
    case 'told': {
      const { insideMm, opening } = fit;
      if (insideMm < 0) return `Into ${into} it does not go: ${lengthMm(-insideMm, unit)} too large.`;
      const inside = `Into ${into} it goes, ${lengthMm(insideMm, unit)} to spare`;
      if (!opening) return `${inside}.`;
      const way = WAY_IN_WORDS[opening.way];
      return opening.mm < 0
        ? `Into ${into} it does not go through the opening: ${lengthMm(-opening.mm, unit)} too large even ${way}.`
        : `${inside}; through the opening ${way}, ${lengthMm(opening.mm, unit)} to spare.`;
    }
  }
}

/** Where an end of a wire comes to. */
export function wireEndWords(
  { cutId, partId, outMm }: WireEnd,
  { cuts, parts }: Pick<Pattern, 'cuts' | 'parts'>,
  unit: LengthUnit,
): string {
  const wire = nameOf(cuts, cutId);
  if (partId === null)
    return `${wire}: an end ${outMm === null ? '' : `of ${lengthMm(outMm, unit)} `}runs through no part: name the one that hides it`;
  const part = nameOf(parts, partId);
  if (outMm === null) return `${wire}: whether its end lies within ${part} is unknown`;
  return outMm > 0
    ? `${wire}: its end comes ${lengthMm(outMm, unit)} out of ${part}`
    : `${wire}: its end lies within ${part}`;
}
