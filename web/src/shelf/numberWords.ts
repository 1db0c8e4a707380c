import type { FibreNumberName } from '@lanakit/core/shelf';

/** What a measured number of a fibre is called, its unit, and how it is found out. */
export const NUMBER_WORDS: Readonly<Record<FibreNumberName, { label: string; unit: string; how: string }>> = {
  stapleMm: { label: 'Staple length', unit: 'mm', how: 'one tuft pulled from the end' },
  linearGPerM: { label: 'Grams per metre', unit: 'g/m', how: 'weigh some metres' },
  arealGPerM2: { label: 'Grams per m²', unit: 'g/m²', how: 'weigh a piece' },
  loftGPerCm3: { label: 'Loft', unit: 'g/cm³', how: 'as torn off' },
  smallestPartMm: { label: 'Smallest part', unit: 'mm', how: 'it is fit for' },
  hidingGPerM2: { label: 'Hiding', unit: 'g/m²', how: 'less hides better' },
  densityFactor: { label: 'Felts denser', unit: '×', how: 'than most, at one firmness' },
};
