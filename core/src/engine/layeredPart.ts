import { mmOrNull, type Part, type WoolUse } from '../pattern/index.ts';
import type { Solid } from '../shapes/index.ts';
import { insertsMm3 } from './inserts.ts';
import { type LayerRequest, type Layers, shareVolume } from './layers.ts';
import type { PartSurroundings } from './partSurroundings.ts';
import type { PartWorking } from './partWorking.ts';
import { FLAT_MARGIN_MM, type RollUp, rollUpSize, usualPacking } from './rollUp.ts';
import { showingBeneath } from './showing.ts';
import type { UnknownReason } from './unknown.ts';
import {
  calculatedOf,
  coveredMm2,
  finish,
  knownFibre,
  massOn,
  prepare,
  type Prepared,
} from './useWorking.ts';

/** Hair stands off the piece, and what is only if needed is not there: neither takes its room. */
const takesRoom = ({ role, isIfNeeded }: WoolUse): boolean =>
  role !== 'core' && role !== 'hair' && !isIfNeeded;

/** A part with a body: its layers share it from the outside in, and the core takes what they leave. */
export function layeredPart(
  part: Part,
  uses: readonly WoolUse[],
  solid: Solid,
  around: PartSurroundings,
): PartWorking {
  const beneath = showingBeneath(part, around.wool);
  const girthMm =
    Math.PI * (solid.family === 'flat' ? Math.min(solid.widthMm, solid.heightMm) : solid.widthMm);
  const prepared = uses.map((use) =>
    prepare(part, use, beneath[part.uses.indexOf(use)] ?? [], around, girthMm),
  );
  const core = prepared.find(({ use }) => use.role === 'core');
  const coreDensity = around.calibration.finished(knownFibre(core?.fibre ?? 'fibre_missing'), part.firmness);
  const inserts = insertsMm3(part, around.wool);
  const looseMm2 = around.looseEnds * endMm2(solid);
  const requests = prepared
    .filter(({ use }) => takesRoom(use))
    .map((ownPrepared) => requestOf(ownPrepared, looseMm2));
  const layers = shareVolume(solid, coreDensity.value, (inserts ?? 0) + around.wireMm3, requests);
  const shareOf = new Map(layers.shares.map((share) => [share.useId, share]));
  const workings = prepared.map((ownPrepared) => {
    if (ownPrepared.use.role === 'core') {
      const working = finish(ownPrepared, layers.coreG);
      const gap = inserts === null ? 'insert_unknown' : layerGap(prepared);
      return gap ? { ...working, calculated: { kind: 'unknown', reason: gap } as const } : working;
    }
    // A stated layer still has what it would calculate to, to be compared with.
    const share = shareOf.get(ownPrepared.use.id);
    const surfaceMm2 = solid.areaMm2 - looseMm2;
    const isShared = share !== undefined && ownPrepared.stated?.kind !== 'known';
    const massG = massOn(ownPrepared, surfaceMm2);
    return finish(ownPrepared, isShared && massG !== null ? share.massG : massG);
  });
  return { part, uses: workings, solid, layers, rollUp: rollUpOf(part, layers, core, around) };
}

/**
 * Why a core cannot be said because of what lies over it. A wisp of which nobody knows how much is too little to
 * matter to it.
 */
function layerGap(prepared: readonly Prepared[]): UnknownReason | null {
  for (const ownPrepared of prepared) {
    if (
      !takesRoom(ownPrepared.use) ||
      ownPrepared.use.role === 'added' ||
      ownPrepared.stated?.kind === 'known'
    )
      continue;
    const layer = calculatedOf(ownPrepared, massOn(ownPrepared, 0));
    if (layer.kind === 'unknown') return layer.reason;
  }
  return null;
}

/** The end of a roll that stays loose is no surface to be coated. */
const endMm2 = (solid: Solid): number =>
  solid.family === 'roll' && solid.build === 'turned' ? (Math.PI / 4) * solid.widthMm ** 2 : 0;

function requestOf(prepared: Prepared, looseMm2: number): LayerRequest {
  const { use, stated } = prepared;
  const needsSurface = use.role === 'coat' && use.cover.kind !== 'patch';
  const surface = (mm2: number) => Math.max(0, mm2 - looseMm2);
  return {
    useId: use.id,
    gPerCm3: prepared.gPerCm3,
    needsSurface,
    coveredMm2: (mm2) => coveredMm2(use, surface(mm2)) ?? 0,
    wantedG: (mm2) => (stated?.kind === 'known' ? stated.massG : (massOn(prepared, surface(mm2)) ?? 0)),
  };
}

function rollUpOf(
  part: Part,
  layers: Layers,
  core: Prepared | undefined,
  { calibration }: PartSurroundings,
): RollUp | null {
  const { coreSolid, coreG, coreVolumeCm3, insertsCm3 } = layers;
  if (!core || !coreSolid || coreG <= 0) return null;
  const packing = part.packing ?? usualPacking(coreSolid);
  const growth = calibration.growth(knownFibre(core.fibre), part.firmness, packing).value;
  // What lies inside does not shrink.
  const q = (insertsCm3 + growth * coreVolumeCm3) / (insertsCm3 + coreVolumeCm3);
  return rollUpSize(coreSolid, coreG, {
    packing,
    gPerCm3: layers.coreGPerCm3 / growth,
    q,
    marginMm: mmOrNull(part.margin) ?? FLAT_MARGIN_MM,
    thinLayers: part.thinLayers,
  });
}
