import { type Bounds, checkName } from '../../base/index.ts';
import { checkColour, checkNumbers } from '../checks/checkFields.ts';
import type { ShelfProblem } from '../checks/problem.ts';
import type { FindingInput, MeasuredBy } from './finding.ts';

const SIZE: Bounds = { min: 0.1, max: 2000 };

/** Bounds of each measure's numbers. */
export const FINDING_BOUNDS = {
  count: {
    massG: { min: 0.001, max: 10_000 },
    innerMm: SIZE,
    innerHighMm: SIZE,
    postMm: SIZE,
    piecesPerPack: { min: 1, max: 100_000 },
  },
  length: {
    diameterMm: { min: 0.05, max: 100 },
    linearGPerM: { min: 0.001, max: 5000 },
    metresPerPack: { min: 0.01, max: 5000 },
  },
  area: {
    thicknessMm: { min: 0.02, max: 100 },
    arealGPerM2: { min: 1, max: 10_000 },
    sheetLengthMm: { min: 10, max: 50_000 },
    sheetWidthMm: { min: 10, max: 5000 },
  },
  volume: {
    activeMinutes: { min: 0, max: 10_080 },
    settingMinutes: { min: 0, max: 10_080 },
    millilitresPerPack: { min: 0.5, max: 20_000 },
  },
} as const satisfies Record<MeasuredBy, Record<string, Bounds>>;

export const OUTER_BOUNDS = { length: SIZE, width: SIZE, height: SIZE } as const;
export const FINDING_PRICE_BOUNDS: Bounds = { min: 0, max: 1_000_000 };

/** What makes a finding impossible, each beside its field. */
export function checkFinding(finding: FindingInput): ShelfProblem[] {
  const { measure } = finding;
  return [
    ...checkName(finding.name),
    ...(finding.colour === null ? [] : checkColour(finding.colour, '/colour')),
    ...checkNumbers(measure, FINDING_BOUNDS[measure.by], '/measure'),
    ...(measure.by === 'count' ? checkNumbers(measure.outerMm, OUTER_BOUNDS, '/measure/outerMm') : []),
    ...(measure.by === 'count' ? checkInside(measure) : []),
    ...checkNumbers(finding, { priceMinor: FINDING_PRICE_BOUNDS }, ''),
  ];
}

/** Nothing is wider inside than outside, and the widest is no narrower than the narrowest. */
function checkInside({
  outerMm: { width: outerMm },
  innerMm,
  innerHighMm = null,
}: Extract<FindingInput['measure'], { by: 'count' }>): ShelfProblem[] {
  const isUpsideDown = innerHighMm !== null && (innerMm === null || innerHighMm < innerMm);
  return [
    ...(outerMm !== null && innerMm !== null && innerMm >= outerMm
      ? [{ code: 'inner_over_outer', pointer: '/measure/innerMm', innerMm, outerMm } as const]
      : []),
    ...(isUpsideDown
      ? [{ code: 'inner_range_reversed', pointer: '/measure/innerHighMm', leastMm: innerMm } as const]
      : []),
  ];
}
