import { showNumber, type Source } from '../base/index.ts';
import type {
  AcrossBy,
  EngineWarning,
  ErrorCause,
  GPerMRange,
  SizeStage,
  UnknownReason,
  WoolRole,
} from '../engine/index.ts';
import type { AmountForm, CutKind, Join, JoinMethod, UseRole } from '../pattern/index.ts';
import type { ShapeKind } from '../shapes/index.ts';
import type { Firmness, Packing } from '../shelf/index.ts';
import { showGramRange } from './amounts.ts';

/** What wool is for, in a maker's word. */
export const ROLE_WORDS: Readonly<Record<WoolRole | 'insert' | 'needled', string>> = {
  core: 'core',
  insert: 'inside',
  coat: 'coat',
  patch: 'patch',
  line: 'line',
  dot: 'dot',
  hair: 'hair',
  needled: 'needled only',
  added: 'added by hand',
  'loose-end': 'loose end',
  'join-cover': 'join cover',
};

/** The same for several. */
export const ROLES_WORDS: Readonly<Record<WoolRole, string>> = {
  core: 'cores',
  coat: 'coats',
  patch: 'patches',
  line: 'lines',
  dot: 'dots',
  hair: 'hair',
  added: 'added by hand',
  'loose-end': 'loose ends',
  'join-cover': 'joins',
};

/** What a role is for, to choose it by. */
export const ROLE_HINTS: Readonly<Record<UseRole, string>> = {
  core: 'fills what everything else leaves',
  insert: 'a ball, bead or cup that is not wool',
  coat: 'over all, or over a part of it',
  patch: 'a spot of colour laid on',
  line: 'a mouth, a stripe',
  dot: 'spots, nostrils',
  hair: 'laid and folded',
  needled: 'a line or a hollow with no wool',
  added: 'a wisp here and there',
};

export const FORM_WORDS: Readonly<Record<AmountForm, string>> = {
  grams: 'grams',
  tops: 'length of tops',
  strip: 'strip of batt',
  sheet: 'piece of sheet',
  hand: 'wisp, pinch or tuft',
  tufts: 'staple-length tufts',
  locks: 'locks by count',
  turns: 'turns of yarn',
  'equal-part': 'equal part of a lot',
  shared: 'share of one weight',
  rest: 'what is left of a weight',
  relative: 'part of another',
  'at-most': 'at most',
  trimmings: 'from trimmings',
  until: 'until it is right',
};

/** How wide a join is where nobody typed it. */
export const ACROSS_BY_WORDS: Readonly<Record<Join['acrossBy'], string>> = {
  contact: 'as wide as they meet',
  thickness: 'as thick as what is set on',
};

/** Why it is so wide: `as they meet`. Empty: it was typed. */
export function acrossReasonWords({ acrossBy }: Pick<Join, 'acrossBy'>, by: AcrossBy): string {
  if (by === 'typed') return '';
  if (by === 'contact') return 'as they meet';
  return acrossBy === 'contact' ? 'as thick as it is: they do not meet yet' : 'as thick as it is';
}

export const JOIN_METHOD_WORDS: Readonly<Record<JoinMethod, string>> = {
  needled: 'needled',
  sewn: 'sewn',
  glued: 'glued',
  wired: 'on wire',
  wrapped: 'wrapped',
};

export const CUT_WORDS: Readonly<Record<CutKind, string>> = {
  length: 'cut to a length',
  panel: 'cut to length and width',
  wire: 'wire',
  covering: 'covering stem',
  cord: 'cord or ribbon',
  binding: 'winding or seam',
  whisker: 'whisker',
  'rolled-strip': 'rolled strip of sheet',
  'tube-panel': 'panel bent to a tube',
  'cone-panel': 'panel bent to a cone',
  'pouch-square': 'square folded to a pouch',
  handle: 'half-round handle',
};

export const STAGE_SIZE_WORDS: Readonly<Record<SizeStage, string>> = {
  'laid-out': 'laid out',
  rolled: 'rolled',
  felted: 'felted',
  coated: 'coated',
  detailed: 'detailed',
  joined: 'joined',
};

export const SOURCE_WORDS: Readonly<Record<Source, string>> = {
  weighed: 'weighed',
  stated: 'stated',
  calculated: 'calculated',
  estimated: 'estimated',
  unknown: 'unknown',
};

/** Why an amount is unknown, and what to do about it. */
const UNKNOWN_WORDS: Readonly<Record<UnknownReason, string>> = {
  sizes_missing: 'a size is missing',
  outline_missing: 'its outline is not drawn yet',
  weight_missing: 'its weight is not given',
  part_impossible: 'its sizes cannot be',
  derived_unknown: 'the size it follows from is unknown',
  derived_circular: 'its size follows from itself',
  count_missing: 'nobody has said how many',
  fibre_missing: 'no fibre is chosen',
  fibre_not_found: 'its fibre is no longer on the shelf',
  density_impossible: 'felt cannot be so dense: check the fibre’s density factor',
  insert_unknown: 'what lies inside has no size on the shelf',
  amount_missing: 'say how much',
  amount_incomplete: 'the amount is not said to the end',
  linear_unknown: 'weigh a length of this fibre: its grams per metre are unknown',
  areal_unknown: 'weigh a piece of this fibre: its grams per m² are unknown',
  loft_unknown: 'its loft is unknown',
  staple_unknown: 'its staple length is unknown',
  hand_unweighed: 'weigh ten of yours on the shelf: nobody knows what your fingers take',
  loose_end_unknown: 'say how long its loose end is and of what, or its grams: its shape does not tell',
  shared_unknown: 'what shares this weight is not all known',
  shared_overdrawn: 'the others take more than the weight there is',
  other_unknown: 'what it is a part of is unknown',
  other_circular: 'it is a part of itself',
};

export const unknownWords = (reason: UnknownReason): string => UNKNOWN_WORDS[reason];

/** What the doubt is in. */
export const CAUSE_WORDS: Readonly<Record<ErrorCause, string>> = {
  common: 'how firmly you felt, in everything',
  density: 'the felted density',
  hiding: 'how well it hides',
  stated: 'what is stated',
  weighed: 'the weighing',
  hand: 'what fingers take',
  unmeasured: 'a loft or staple that is only our default',
  hair: 'how thick hair is laid',
  count: 'how many there are',
  piece: 'each piece by itself',
};

/** What would make it smaller; null where only more pieces even it out. */
export const CAUSE_REMEDIES: Readonly<Record<ErrorCause, string | null>> = {
  common: 'weigh one whole finished make, and write its grams under About',
  density: 'weigh one finished piece',
  hiding: 'cover a sample and weigh what it took',
  stated: 'weigh it once',
  weighed: null,
  hand: 'weigh ten of yours',
  unmeasured: 'measure it on the shelf',
  hair: 'weigh the hair of one figure',
  count: 'count one figure',
  piece: null,
};

const showPerMetre = ({ lowGPerM, highGPerM }: GPerMRange): string =>
  `${showNumber(lowGPerM, 1)}${highGPerM > lowGPerM * 1.001 ? `–${showNumber(highGPerM, 1)}` : ''} g/m`;

const grams = (massG: number): string => `${showNumber(massG, massG < 1 ? 2 : 1)} g`;

/** What to look at, in one line. @param fibreName of the fibre it names */
export function warningWords(warning: EngineWarning, fibreName: (fibreId: string) => string): string {
  switch (warning.code) {
    case 'all_coat':
      return 'All coat: too thin for a core under it.';
    case 'inserts_overfull':
      return `What lies inside takes ${showNumber(warning.insertsCm3, 1)} cm³ and the piece has ${showNumber(warning.volumeCm3, 1)}. Make it larger, or take less.`;
    case 'part_tiny':
      return `${showNumber(warning.acrossMm, 1)} mm is finer than a part can be felted. Draw it as a line or a dot.`;
    case 'fibre_coarse':
      return (
        `${fibreName(warning.fibreId)} is coarse for this: fit from ${showNumber(warning.fitFromMm, 1)} mm` +
        `${warning.isDefault ? ' by our default' : ''}.`
      );
    case 'hair_beyond_staple':
      return (
        `Needs strips of ${showNumber(warning.stripMm, 0)} mm; the staple is ${showNumber(warning.stapleMm, 0)} mm. ` +
        'Hang it shorter, trim less, or fix it by one end.'
      );
    case 'trimmings_short':
      return `The trimmings give ${grams(warning.thereG)}, this takes ${grams(warning.wantedG)}.`;
    case 'statements_differ':
      return (
        `${showGramRange(warning.countedLowG, warning.countedHighG)} counts; ${FORM_WORDS[warning.form]}, as also said, comes to ` +
        `${showGramRange(warning.lowG, warning.highG)} of this lot. One of them is not so: measure it once.`
      );
    case 'linear_differs':
      return (
        `${fibreName(warning.fibreId)} cannot be both ${showPerMetre(warning.first)} here and ` +
        `${showPerMetre(warning.other)} elsewhere in this pattern. Weigh a length of it.`
      );
    case 'stated_off':
      return (
        `Stated ${grams(warning.statedG)}, calculated ${grams(warning.calculatedG)}: further apart than the ` +
        'calculation is usually off. Weigh it, or check the size.'
      );
  }
}

export const SHAPE_WORDS: Readonly<Record<ShapeKind, string>> = {
  ball: 'ball',
  ellipsoid: 'ellipsoid',
  egg: 'egg',
  limb: 'limb',
  taper: 'taper',
  'flat-ellipse': 'flat ellipse',
  plate: 'flat, straight sides',
  drop: 'drop',
  dome: 'dome',
  cone: 'cone',
  ring: 'ring',
  box: 'box',
  coil: 'coil',
  sleeve: 'sleeve on wire',
  'flat-outline': 'flat, own outline',
  patch: 'patch',
  fringe: 'fringe',
  'by-count': 'by count',
  'by-grams': 'by weight',
};

export const PACKING_WORDS: Readonly<Record<Packing, string>> = {
  loft: 'as torn off, at its loft',
  loose: 'a loose handful',
  rolled: 'rolled by hand',
  tight: 'rolled as tight as it goes',
};

export const FIRMNESS_WORDS: Readonly<Record<Firmness, string>> = {
  airy: 'sinks in, comes back',
  springy: 'squeezes, springs back',
  firm: 'dents a little',
  solid: 'does not dent',
};
