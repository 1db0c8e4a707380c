import type { Solid } from './solid.ts';
import { taper } from './taper.ts';

/** A cone on its base, which is counted. As a taper to a point, but shaped from a ball of wool and not from a roll. */
export function cone(riseMm: number, diameterMm: number): Solid {
  const body = taper(riseMm, diameterMm, 0);
  // Shaped from a ball: no end of it is left loose of itself.
  const { looseAcrossMm: _loose, isBaseOnTop: _onTop, ...shape } = body;
  return {
    ...shape,
    family: 'round',
    sizesMm: [riseMm, diameterMm],
    // Point upwards; a taper lies with its thick end first.
    outline: () => [
      [0, riseMm],
      [diameterMm / 2, 0],
      [diameterMm, riseMm],
    ],
    inset: (depthMm) => {
      const inner = body.inset(depthMm);
      return inner ? cone(inner.heightMm, inner.widthMm) : null;
    },
    scaled: (along, across) => cone(riseMm * along, diameterMm * across),
  };
}
