import { onlyFibres } from '@lanakit/core/engine';
import type { FigureLook } from '@lanakit/core/figure';
import { previewFirst } from '@lanakit/core/starts';
import { FigureStrip } from '../figure/FigureStrip.tsx';
import { begun } from './begun.ts';

const EMPTY = onlyFibres(new Map());
/** Each as it is written, in the wool it begins with; drawn once. */
const drawn = new Map<string, FigureLook>();

function lookOf(bodyId: string): FigureLook {
  const known = drawn.get(bodyId);
  if (known) return known;
  const { look } = previewFirst({ ...begun(bodyId), class: null }, EMPTY);
  drawn.set(bodyId, look);
  return look;
}

/** A body to begin from, small. */
export const BodyPicture = ({ bodyId, width, height }: { bodyId: string; width: number; height: number }) => (
  <FigureStrip figure={lookOf(bodyId)} width={width} height={height} />
);
