import type { Fibre, FibreInput, Preparation } from './fibre.ts';
import type { FibreNumberName, FibreNumbers, Fineness } from './fibreNumbers.ts';

/** What a preparation is like where the maker has not said. */
export interface PreparationDefaults extends FibreNumbers {
  readonly feltsAlone: boolean;
  readonly fineness: Fineness;
}

/** Grams per metre and per square metre differ from supplier to supplier by more than double: never guessed. */
const UNWEIGHED = { linearGPerM: null, arealGPerM2: null } as const;

/** Lanakit's own defaults, plausible and uncalibrated; a screen says so wherever one is in force. */
export const PREPARATION_DEFAULTS: Readonly<Record<Preparation, PreparationDefaults>> = {
  'core-batt': { feltsAlone: true, fineness: 'coarse', stapleMm: 50, loftGPerCm3: 0.011, smallestPartMm: 12, hidingGPerM2: 80, densityFactor: 1, ...UNWEIGHED },
  batt: { feltsAlone: true, fineness: 'medium', stapleMm: 60, loftGPerCm3: 0.011, smallestPartMm: 6, hidingGPerM2: 80, densityFactor: 1, ...UNWEIGHED },
  carded: { feltsAlone: true, fineness: 'medium', stapleMm: 55, loftGPerCm3: 0.012, smallestPartMm: 5, hidingGPerM2: 80, densityFactor: 1, ...UNWEIGHED },
  tops: { feltsAlone: true, fineness: 'fine', stapleMm: 75, loftGPerCm3: 0.016, smallestPartMm: 3, hidingGPerM2: 90, densityFactor: 1, ...UNWEIGHED },
  locks: { feltsAlone: true, fineness: 'medium', stapleMm: 120, loftGPerCm3: 0.02, smallestPartMm: 15, hidingGPerM2: 110, densityFactor: 1, ...UNWEIGHED },
  'pre-felt': { feltsAlone: true, fineness: 'medium', stapleMm: null, loftGPerCm3: 0.07, smallestPartMm: 10, hidingGPerM2: 80, densityFactor: 1, ...UNWEIGHED },
  felt: { feltsAlone: false, fineness: 'medium', stapleMm: null, loftGPerCm3: 0.16, smallestPartMm: 8, hidingGPerM2: 80, densityFactor: 1, ...UNWEIGHED },
  yarn: { feltsAlone: true, fineness: 'coarse', stapleMm: null, loftGPerCm3: 0.05, smallestPartMm: 10, hidingGPerM2: 100, densityFactor: 1, ...UNWEIGHED },
  loose: { feltsAlone: true, fineness: 'medium', stapleMm: 45, loftGPerCm3: 0.01, smallestPartMm: 8, hidingGPerM2: 85, densityFactor: 1, ...UNWEIGHED },
}; // prettier-ignore

/** A property in force, and whether it is only our default. */
export interface InForce<T> {
  readonly value: T;
  readonly isDefault: boolean;
}

/** What is in force: what was said or measured, else the preparation's default; null when neither is known. */
export function fibreNumber<N extends FibreNumberName>(
  fibre: Pick<Fibre, 'preparation' | N>,
  name: N,
): InForce<number> | null {
  const onRecord: number | null = fibre[name];
  if (onRecord !== null) return { value: onRecord, isDefault: false };
  const usual = PREPARATION_DEFAULTS[fibre.preparation][name];
  return usual === null ? null : { value: usual, isDefault: true };
}

export const feltsAlone = (fibre: Pick<FibreInput, 'preparation' | 'feltsAlone'>): boolean =>
  fibre.feltsAlone ?? PREPARATION_DEFAULTS[fibre.preparation].feltsAlone;

/** Which measured numbers mean anything for a preparation. */
export function numbersOf(preparation: Preparation): readonly FibreNumberName[] {
  const byLength = preparation === 'tops' || preparation === 'carded' || preparation === 'yarn';
  const isSheet = preparation === 'felt' || preparation === 'pre-felt';
  const byArea = isSheet || preparation === 'batt' || preparation === 'core-batt';
  return [
    ...(isSheet || preparation === 'yarn' ? [] : (['stapleMm'] as const)),
    ...(byLength ? (['linearGPerM'] as const) : []),
    ...(byArea ? (['arealGPerM2'] as const) : []),
    'loftGPerCm3',
    'smallestPartMm',
    'hidingGPerM2',
    'densityFactor',
  ];
}
