import type { Solid } from '../shapes/index.ts';
import type { Body } from './body.ts';
import { flatBody } from './flatBody.ts';
import { ropeBody } from './ropeBody.ts';
import { roundBody } from './roundBody.ts';

const bodies = new WeakMap<Solid, Body>();

/** The body of a solid; kept with it, for it is asked for at every look. */
export function bodyOf(solid: Solid): Body {
  const known = bodies.get(solid);
  if (known) return known;
  const body = make(solid);
  bodies.set(solid, body);
  return body;
}

function make(solid: Solid): Body {
  if (solid.build === 'rope') return ropeBody(solid);
  const { halfWidthMm } = solid;
  return halfWidthMm ? roundBody(solid, halfWidthMm) : flatBody(solid);
}
