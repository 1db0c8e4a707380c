import type { ScaleInfo } from '@lanakit/core/api';
import { useScales } from '../api/queries.ts';
import { useScaleChoice } from './scaleChoice.ts';

/** The scale this device weighs with, where there is such a one; null: by hand. */
export function useChosenScale(): ScaleInfo | null {
  const scaleId = useScaleChoice((choice) => choice.scaleId);
  const { data } = useScales();
  return data?.items.find(({ id }) => id === scaleId) ?? null;
}
