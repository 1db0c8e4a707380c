import { type LengthUnit, showSizesMm } from '@lanakit/core/base';

/** What a size that is left empty comes to; nothing while that is unknown. */
export const usualSize = (mm: number | null, unit: LengthUnit): string | undefined =>
  mm === null ? undefined : `empty: ${showSizesMm([mm], unit)}`;
