import { orUnknown, strict } from '../../base/index.ts';
import { Type, type Static } from '@sinclair/typebox';

export const FINENESSES = ['coarse', 'medium', 'fine'] as const;

export type Fineness = (typeof FINENESSES)[number];

/** Numbers that may be measured; null leaves the preparation's default in force (`fibreNumber`). */
export const FibreNumbers = Type.Object(
  {
    stapleMm: orUnknown(Type.Number({ description: 'fibre length; shorter pieces cannot be pulled' })),
    linearGPerM: orUnknown(Type.Number({ description: 'tops, sliver and yarn: grams per metre' })),
    arealGPerM2: orUnknown(Type.Number({ description: 'batt and sheet: grams per square metre' })),
    loftGPerCm3: orUnknown(Type.Number({ description: 'density as torn off, g/cm³' })),
    smallestPartMm: orUnknown(Type.Number({ description: 'the smallest part it is fit for' })),
    hidingGPerM2: orUnknown(Type.Number({ description: 'hiding constant of a coat, g/m²' })),
    densityFactor: orUnknown(Type.Number({ description: 'felts this many times as dense as our default' })),
  },
  strict,
);

export type FibreNumbers = Static<typeof FibreNumbers>;

export type FibreNumberName = keyof FibreNumbers;
