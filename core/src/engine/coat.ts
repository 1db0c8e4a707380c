import { colourDifference, type Fibre, fibreNumber, lightness } from '../shelf/index.ts';

/** Below this a coat has holes, whatever the colours, g/m². */
const LEAST_COAT_G_PER_M2 = 80;

/** The colour difference at which an eye at arm's length no longer sees the core. */
const COVERED_DELTA_E = 3;

/** What a core of unknown colour counts as: the strongest contrast makers meet. */
const UNKNOWN_CORE_DELTA_E = 70;

/** Every preparation has a default; this only stands in for the type. */
const UNKNOWN_HIDING_G_PER_M2 = 80;

const PALE_FACTOR = 1.15;
const DARK_FACTOR = 0.85;

/** L* from which a fibre is called pale, and to which dark: ours. */
export const PALE_ABOVE_L = 80;
export const DARK_BELOW_L = 35;

/** How thick a coat must lie, and what decided it. */
export interface CoatWeight {
  readonly arealGPerM2: number;
  readonly deltaE: number;
  /** The core's colour was unknown, so `deltaE` is an assumption. */
  readonly isContrastAssumed: boolean;
  readonly hidingGPerM2: number;
  /** Nobody has measured how this fibre hides. */
  readonly isHidingDefault: boolean;
  /** The contrast asked for less than the least coat that has no holes. */
  readonly isLeastCoat: boolean;
}

export type CoatFibre = Pick<Fibre, 'colour' | 'preparation' | 'hidingGPerM2'>;

/**
 * The coat that hides the core: contrast falls with areal density a as ΔE·exp(−a/κ), and 3 passes as covered,
 * so a = max(80, κ·ln(ΔE/3)). ΔE is CIEDE2000; κ is the coat fibre's hiding constant.
 * @param coreColour #rrggbb, or null when nobody has said
 * @param hidingGPerM2 κ in force
 */
export function coatByContrast(
  coreColour: string | null,
  coat: CoatFibre,
  hidingGPerM2 = hidingConstant(coat),
): CoatWeight {
  const deltaE = coreColour === null ? UNKNOWN_CORE_DELTA_E : colourDifference(coreColour, coat.colour);
  const wantedGPerM2 = hidingGPerM2 * Math.log(Math.max(deltaE, COVERED_DELTA_E) / COVERED_DELTA_E);
  return {
    arealGPerM2: Math.max(LEAST_COAT_G_PER_M2, wantedGPerM2),
    deltaE,
    isContrastAssumed: coreColour === null,
    hidingGPerM2,
    isHidingDefault: coat.hidingGPerM2 === null,
    isLeastCoat: wantedGPerM2 <= LEAST_COAT_G_PER_M2,
  };
}

/** A coat meant to stay translucent, g/m² for each pass. */
export const SHADING_G_PER_M2 = 15;

/** The coat that hides the hardest of several colours; of none known, as of an unknown one. */
export function coatOver(
  colours: readonly (string | null)[],
  coat: CoatFibre,
  hidingGPerM2?: number,
): CoatWeight {
  const weights = (colours.length === 0 ? [null] : colours).map((colour) =>
    coatByContrast(colour, coat, hidingGPerM2),
  );
  return weights.reduce((most, weight) => (weight.arealGPerM2 > most.arealGPerM2 ? weight : most));
}

/**
 * κ of a coat fibre, g/m². A measured one holds as it is; of our defaults, pale fibre hides less and dark fibre more.
 * Sheet and yarn have one too, for who lays them as a coat.
 */
export function hidingConstant(coat: CoatFibre): number {
  const hiding = fibreNumber(coat, 'hidingGPerM2');
  if (!hiding) return UNKNOWN_HIDING_G_PER_M2;
  if (!hiding.isDefault) return hiding.value;
  const L = lightness(coat.colour);
  const factor = L > PALE_ABOVE_L ? PALE_FACTOR : L < DARK_BELOW_L ? DARK_FACTOR : 1;
  return hiding.value * factor;
}
