import { massOfArea } from '../base/index.ts';
import { mmOrNull, type Part, type WoolUse } from '../pattern/index.ts';
import { bodyOfWool } from '../shapes/index.ts';
import { coatOver } from './coat.ts';
import { type Hair, hairMass } from './hair.ts';
import type { PartSurroundings } from './partSurroundings.ts';
import type { PartWorking } from './partWorking.ts';
import type { ErrorCause } from './quantity/totalMass.ts';
import { showingBeneath } from './showing.ts';
import {
  type Calculated,
  ellipseMm2,
  finish,
  massOn,
  prepare,
  type Prepared,
  type UseWorking,
} from './useWorking.ts';

/** A patch, a fringe or a number of locks: wool that is laid, and whose body follows from it. */
export function laidPart(part: Part, uses: readonly WoolUse[], around: PartSurroundings): PartWorking {
  const beneath = showingBeneath(part, around.wool);
  const prepared = uses.map((use) => {
    const under = beneath[part.uses.indexOf(use)] ?? [];
    return prepare(part, use, under.length > 0 ? under : around.beneath, around, null);
  });
  const workings = prepared.map((ownPrepared) => finishLaid(part, ownPrepared, around));
  const volumeMm3 = workings.reduce((sum, working, index) => {
    const massG = working.stated?.kind === 'known' ? working.stated.massG : knownMass(working.calculated);
    return sum + (massG / (prepared[index]?.gPerCm3 ?? 1)) * 1000;
  }, 0);
  const solid = volumeMm3 > 0 ? bodyOfWool(part.shape, volumeMm3) : null;
  return { part, uses: workings, solid, layers: null, rollUp: null };
}

const knownMass = (calculated: Calculated): number => (calculated.kind === 'known' ? calculated.massG : 0);

function finishLaid(part: Part, prepared: Prepared, around: PartSurroundings): UseWorking {
  const { shape } = part;
  if (prepared.use.role !== 'core') return finish(prepared, massOn(prepared, faceMm2(part) ?? 0));
  if (shape.kind === 'by-count') {
    return { ...finish(prepared, null), calculated: { kind: 'unknown', reason: 'amount_missing' } };
  }
  if (typeof prepared.fibre !== 'object') return finish(prepared, null);
  if (shape.kind === 'patch') {
    const coat = coatOver(around.beneath, prepared.fibre, around.calibration.hiding(prepared.fibre).value);
    const face = faceMm2(part);
    const working = finish({ ...prepared, coat }, face === null ? null : massOfArea(face, coat.arealGPerM2));
    return laidAs(working, 'hiding', around.calibration.hiding(prepared.fibre).sigma);
  }
  const { value, sigma } = around.calibration.hair(prepared.fibre.id);
  const hair = shape.kind === 'fringe' ? fringeHair(shape, value) : null;
  return laidAs(finish({ ...prepared, hair }, hair?.massG ?? null), 'hair', sigma);
}

/** The main wool of what is laid is in doubt as a coat or hair is, not as a core. */
const laidAs = (working: UseWorking, cause: ErrorCause, sharedSigma: number): UseWorking =>
  working.calculated.kind === 'known'
    ? { ...working, calculated: { ...working.calculated, cause, commonSigma: 0, sharedSigma } }
    : working;

function fringeHair(shape: Extract<Part['shape'], { kind: 'fringe' }>, thickness: number): Hair | null {
  const [lineMm, dropMm] = [mmOrNull(shape.line), mmOrNull(shape.drop)];
  return lineMm === null || dropMm === null ? null : hairMass({ ...shape, lineMm, dropMm }, thickness);
}

/** The face of what is laid, mm²; null where it has none. */
function faceMm2({ shape }: Part): number | null {
  return shape.kind === 'patch' ? ellipseMm2(shape, 1) : null;
}
