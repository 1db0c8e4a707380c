import type { Fibre } from '../fibre/index.ts';
import { checkPart, isWool, mmOrNull, type Part, type UseOf, type WoolUse } from '../pattern/index.ts';
import type { ErrorCause } from '../quantity/index.ts';
import { bodyOfWool, solidOf, type Solid } from '../shapes/index.ts';
import { type Calibration, DENSEST_FELT_G_PER_CM3 } from './calibration.ts';
import { coatOver, SHADING_G_PER_M2, type CoatWeight } from './coat.ts';
import type { SizedPart } from './derivedSizes.ts';
import { dotMassG, lineMassG, patchMm2 } from './detail.ts';
import { hairMass, type Hair } from './hair.ts';
import { insertsMm3 } from './inserts.ts';
import { shareVolume, type LayerRequest, type Layers } from './layers.ts';
import { rollUpSize, usualPacking, type RollUp } from './rollUp.ts';
import { showingBeneath, type Colours } from './showing.ts';
import { SIGMA } from './sigmas.ts';
import { statedMass, type Stated } from './statedMass.ts';
import type { UnknownReason } from './unknown.ts';
import type { Wool } from './wool.ts';

/** What one piece's use comes to by its shape, before anything its author states. */
export type Calculated =
  | {
      readonly kind: 'known';
      readonly massG: number;
      readonly cause: ErrorCause;
      readonly sharedSigma: number;
      readonly ownSigma: number;
    }
  | { readonly kind: 'unknown'; readonly reason: UnknownReason };

/** One use of one part: what it would come to, and what its author states. */
export interface UseWorking {
  readonly use: WoolUse;
  readonly fibre: Fibre | UnknownReason;
  readonly calculated: Calculated;
  /** Null where nothing is stated. */
  readonly stated: Stated | null;
  readonly coat: CoatWeight | null;
  readonly hair: Hair | null;
}

/** One part worked out on its own. */
export interface PartWorking {
  readonly part: Part;
  readonly uses: readonly UseWorking[];
  readonly solid: Solid | null;
  readonly layers: Layers | null;
  readonly rollUp: RollUp | null;
}

/** What a part needs to know of the rest of the pattern. */
export interface PartSurroundings {
  readonly wool: Wool;
  readonly calibration: Calibration;
  /** Wire that runs through one piece, mm³. */
  readonly wireMm3: number;
  /** Ends of one piece that stay loose: how many. */
  readonly looseEnds: number;
  /** What shows of the part that a patch is laid on. */
  readonly beneath: Colours;
}

/** Works one part out. Never throws: what cannot be worked out is unknown, with its reason. */
export function calculatePart(sized: SizedPart, around: PartSurroundings): PartWorking {
  const { part } = sized;
  const uses = part.uses.filter(isWool);
  const body = bodyOf(sized, uses, around);
  if (body.kind === 'unknown') return unknownPart(part, uses, body.reason, around);
  return body.kind === 'solid' ? layeredPart(part, uses, body.solid, around) : laidPart(part, uses, around);
}

/** Parts looked at before: an edit makes a new one of the part it changes, and of no other. */
const possible = new WeakMap<Part, boolean>();

/** A name that is missing makes no number impossible. */
function isPossible(part: Part): boolean {
  const known = possible.get(part);
  if (known !== undefined) return known;
  const is = checkPart(part, '').every(({ pointer }) => pointer === '/name');
  possible.set(part, is);
  return is;
}

type Body =
  | { readonly kind: 'solid'; readonly solid: Solid }
  | { readonly kind: 'laid' }
  | { readonly kind: 'unknown'; readonly reason: UnknownReason };

function bodyOf({ part, fault }: SizedPart, uses: readonly WoolUse[], around: PartSurroundings): Body {
  const unknown = (reason: UnknownReason): Body => ({ kind: 'unknown', reason });
  if (fault) return unknown(fault);
  if (!isPossible(part)) return unknown('part_impossible');
  if (part.shape.kind === 'by-grams') return bodyByGrams(part, uses, around);
  const result = solidOf(part.shape);
  switch (result.kind) {
    case 'solid':
      return result;
    case 'sizes-missing':
      return unknown('sizes_missing');
    case 'outline-missing':
      return unknown('outline_missing');
    case 'by-wool':
      return { kind: 'laid' };
  }
}

/** A piece whose finished mass is said: the ball that it would be. */
function bodyByGrams(part: Part, uses: readonly WoolUse[], around: PartSurroundings): Body {
  const massG = part.shape.kind === 'by-grams' ? part.shape.massG : null;
  if (massG === null) return { kind: 'unknown', reason: 'weight_missing' };
  const core = uses.find(({ role }) => role === 'core');
  const fibre = core ? fibreOf(core.fibreId, around.wool) : null;
  const { value } = around.calibration.finished(typeof fibre === 'object' ? fibre : null, part.firmness);
  return { kind: 'solid', solid: bodyOfWool(part.shape, (massG / value) * 1000) };
}

export function fibreOf(fibreId: string | null, { fibres }: Wool): Fibre | UnknownReason {
  if (fibreId === null) return 'fibre_missing';
  return fibres.get(fibreId) ?? 'fibre_not_found';
}

const knownFibre = (fibre: Fibre | UnknownReason): Fibre | null => (typeof fibre === 'object' ? fibre : null);

function unknownPart(
  part: Part,
  uses: readonly WoolUse[],
  reason: UnknownReason,
  around: PartSurroundings,
): PartWorking {
  const workings = uses.map((use): UseWorking => {
    const fibre = fibreOf(use.fibreId, around.wool);
    return {
      use,
      fibre,
      calculated: { kind: 'unknown', reason },
      stated: stateOf(use, fibre, around, null),
      coat: null,
      hair: null,
    };
  });
  return { part, uses: workings, solid: null, layers: null, rollUp: null };
}

function stateOf(
  use: WoolUse,
  fibre: Fibre | UnknownReason,
  { calibration }: PartSurroundings,
  girthMm: number | null,
): Stated | null {
  if (use.amount === null) return null;
  if (typeof fibre !== 'object') return { kind: 'unknown', reason: fibre };
  return statedMass(use.amount, fibre, calibration, girthMm);
}

/** What a use is made of on the way: its fibre, how a coat or hair is laid, how dense it felts. */
interface Prepared extends Omit<UseWorking, 'calculated'> {
  readonly gPerCm3: number;
  readonly densitySigma: number;
}

function prepare(
  part: Part,
  use: WoolUse,
  beneath: Colours,
  around: PartSurroundings,
  girthMm: number | null,
): Prepared {
  const fibre = fibreOf(use.fibreId, around.wool);
  const density = around.calibration.finished(knownFibre(fibre), use.role === 'dot' ? 'firm' : part.firmness);
  return {
    use,
    fibre,
    gPerCm3: density.value,
    densitySigma: density.sigma,
    stated: stateOf(use, fibre, around, girthMm),
    coat: typeof fibre === 'object' ? coatOf(use, fibre, beneath, around.calibration) : null,
    hair: hairOf(use),
  };
}

function coatOf(use: WoolUse, fibre: Fibre, beneath: Colours, calibration: Calibration): CoatWeight | null {
  if (use.role !== 'coat' && use.role !== 'patch') return null;
  const hiding = coatOver(beneath, fibre, calibration.hiding(fibre).value);
  if (use.role === 'patch' || use.thickness.by === 'hiding') return hiding;
  const arealGPerM2 =
    use.thickness.by === 'said' ? use.thickness.gPerM2 : use.thickness.passes * SHADING_G_PER_M2;
  return { ...hiding, arealGPerM2, isLeastCoat: false };
}

function hairOf(use: WoolUse): Hair | null {
  if (use.role !== 'hair') return null;
  const [lineMm, dropMm] = [mmOrNull(use.line), mmOrNull(use.drop)];
  return lineMm === null || dropMm === null ? null : hairMass({ ...use, lineMm, dropMm });
}

/** Area that a coat or patch covers of a surface, mm²; null while one of its sizes is unknown. */
function coveredMm2(use: WoolUse, surfaceMm2: number): number | null {
  if (use.role === 'patch') return ellipseMm2(use, use.count);
  if (use.role !== 'coat') return 0;
  if (use.cover.kind === 'patch') return ellipseMm2(use.cover, 1);
  return use.cover.kind === 'share' ? surfaceMm2 * use.cover.fraction : surfaceMm2;
}

function ellipseMm2(
  { length, width }: Pick<UseOf<'patch'>, 'length' | 'width'>,
  count: number,
): number | null {
  const [lengthMm, widthMm] = [mmOrNull(length), mmOrNull(width)];
  return lengthMm === null || widthMm === null ? null : patchMm2(lengthMm, widthMm) * count;
}

/** Grams of a use that lies on a surface so large; null while one of its sizes is unknown. */
function massOn(own: Prepared, surfaceMm2: number): number | null {
  const { use, coat, hair } = own;
  switch (use.role) {
    case 'coat':
    case 'patch': {
      const covered = coveredMm2(use, surfaceMm2);
      return covered === null || !coat ? null : (coat.arealGPerM2 * covered) / 1e6;
    }
    case 'line': {
      const lengthMm = mmOrNull(use.length);
      return lengthMm === null ? null : lineMassG(lengthMm) * use.count;
    }
    case 'dot': {
      const diameterMm = mmOrNull(use.diameter);
      return diameterMm === null ? null : dotMassG(diameterMm, own.gPerCm3) * use.count;
    }
    case 'hair':
      return hair?.massG ?? null;
    case 'core':
    case 'added':
      return null;
  }
}

const CAUSE: Readonly<Record<WoolUse['role'], ErrorCause>> = {
  core: 'density',
  coat: 'hiding',
  patch: 'hiding',
  line: 'piece',
  dot: 'density',
  hair: 'hair',
  added: 'piece',
};

function sigmasOf({ use, densitySigma }: Prepared): { sharedSigma: number; ownSigma: number } {
  switch (use.role) {
    case 'coat':
    case 'patch':
      return { sharedSigma: SIGMA.coatShared, ownSigma: SIGMA.coatOwn };
    case 'hair':
      return { sharedSigma: SIGMA.hairShared, ownSigma: SIGMA.coreOwn };
    default:
      return { sharedSigma: densitySigma, ownSigma: SIGMA.coreOwn };
  }
}

/** What the use comes to, or why that cannot be said. */
function calculatedOf(own: Prepared, massG: number | null): Calculated {
  const { use, fibre } = own;
  if (typeof fibre !== 'object') return { kind: 'unknown', reason: fibre };
  if (use.role === 'added') return { kind: 'unknown', reason: 'amount_missing' };
  if (own.gPerCm3 > DENSEST_FELT_G_PER_CM3) return { kind: 'unknown', reason: 'density_impossible' };
  if (massG === null) return { kind: 'unknown', reason: 'sizes_missing' };
  return { kind: 'known', massG, cause: CAUSE[use.role], ...sigmasOf(own) };
}

const finish = (own: Prepared, massG: number | null): UseWorking => ({
  use: own.use,
  fibre: own.fibre,
  stated: own.stated,
  coat: own.coat,
  hair: own.hair,
  calculated: calculatedOf(own, massG),
});

/** Hair stands off the piece, and what is only if needed is not there: neither takes its room. */
const takesRoom = ({ role, isIfNeeded }: WoolUse): boolean =>
  role !== 'core' && role !== 'hair' && !isIfNeeded;

function layeredPart(
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
  const requests = prepared.filter(({ use }) => takesRoom(use)).map((own) => requestOf(own, looseMm2));
  const layers = shareVolume(solid, coreDensity.value, (inserts ?? 0) + around.wireMm3, requests);
  const shareOf = new Map(layers.shares.map((share) => [share.useId, share]));
  const workings = prepared.map((own) => {
    if (own.use.role === 'core') {
      const working = finish(own, layers.coreG);
      const gap = inserts === null ? 'insert_unknown' : layerGap(prepared);
      return gap ? { ...working, calculated: { kind: 'unknown', reason: gap } as const } : working;
    }
    // A stated layer still has what it would calculate to, to be compared with.
    const share = shareOf.get(own.use.id);
    const surfaceMm2 = solid.areaMm2 - looseMm2;
    const isShared = share !== undefined && own.stated?.kind !== 'known';
    const massG = massOn(own, surfaceMm2);
    return finish(own, isShared && massG !== null ? share.massG : massG);
  });
  return { part, uses: workings, solid, layers, rollUp: rollUpOf(part, layers, core, around) };
}

/**
 * Why a core cannot be said because of what lies over it. A wisp of which nobody knows how much is too little to
 * matter to it.
 */
function layerGap(prepared: readonly Prepared[]): UnknownReason | null {
  for (const own of prepared) {
    if (!takesRoom(own.use) || own.use.role === 'added' || own.stated?.kind === 'known') continue;
    const layer = calculatedOf(own, massOn(own, 0));
    if (layer.kind === 'unknown') return layer.reason;
  }
  return null;
}

/** The end of a roll that stays loose is no surface to be coated. */
const endMm2 = (solid: Solid): number =>
  solid.family === 'roll' && solid.build === 'turned' ? (Math.PI / 4) * solid.widthMm ** 2 : 0;

function requestOf(own: Prepared, looseMm2: number): LayerRequest {
  const { use, stated } = own;
  const needsSurface = use.role === 'coat' && use.cover.kind !== 'patch';
  const surface = (mm2: number) => Math.max(0, mm2 - looseMm2);
  return {
    useId: use.id,
    gPerCm3: own.gPerCm3,
    needsSurface,
    coveredMm2: (mm2) => coveredMm2(use, surface(mm2)) ?? 0,
    wantedG: (mm2) => (stated?.kind === 'known' ? stated.massG : (massOn(own, surface(mm2)) ?? 0)),
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
  return rollUpSize(coreSolid, coreG, { packing, gPerCm3: layers.coreGPerCm3 / growth, q });
}

/** A patch, a fringe or a number of locks: wool that is laid, and whose body follows from it. */
function laidPart(part: Part, uses: readonly WoolUse[], around: PartSurroundings): PartWorking {
  const beneath = showingBeneath(part, around.wool);
  const prepared = uses.map((use) => {
    const under = beneath[part.uses.indexOf(use)] ?? [];
    return prepare(part, use, under.length > 0 ? under : around.beneath, around, null);
  });
  const workings = prepared.map((own) => finishLaid(part, own, around));
  const volumeMm3 = workings.reduce((sum, working, index) => {
    const massG = working.stated?.kind === 'known' ? working.stated.massG : knownMass(working.calculated);
    return sum + (massG / (prepared[index]?.gPerCm3 ?? 1)) * 1000;
  }, 0);
  const solid = volumeMm3 > 0 ? bodyOfWool(part.shape, volumeMm3) : null;
  return { part, uses: workings, solid, layers: null, rollUp: null };
}

const knownMass = (calculated: Calculated): number => (calculated.kind === 'known' ? calculated.massG : 0);

function finishLaid(part: Part, own: Prepared, around: PartSurroundings): UseWorking {
  const { shape } = part;
  if (own.use.role !== 'core') return finish(own, massOn(own, faceMm2(part) ?? 0));
  if (shape.kind === 'by-count') {
    return { ...finish(own, null), calculated: { kind: 'unknown', reason: 'amount_missing' } };
  }
  if (typeof own.fibre !== 'object') return finish(own, null);
  if (shape.kind === 'patch') {
    const coat = coatOver(around.beneath, own.fibre, around.calibration.hiding(own.fibre).value);
    const face = faceMm2(part);
    const working = finish({ ...own, coat }, face === null ? null : (coat.arealGPerM2 * face) / 1e6);
    return laidAs(working, 'hiding', SIGMA.coatShared);
  }
  const hair = shape.kind === 'fringe' ? fringeHair(shape) : null;
  return laidAs(finish({ ...own, hair }, hair?.massG ?? null), 'hair', SIGMA.hairShared);
}

/** The main wool of what is laid is in doubt as a coat or hair is, not as a core. */
const laidAs = (working: UseWorking, cause: ErrorCause, sharedSigma: number): UseWorking =>
  working.calculated.kind === 'known'
    ? { ...working, calculated: { ...working.calculated, cause, sharedSigma } }
    : working;

function fringeHair(shape: Extract<Part['shape'], { kind: 'fringe' }>): Hair | null {
  const [lineMm, dropMm] = [mmOrNull(shape.line), mmOrNull(shape.drop)];
  return lineMm === null || dropMm === null ? null : hairMass({ ...shape, lineMm, dropMm });
}

/** The face of what is laid, mm²; null where it has none. */
function faceMm2({ shape }: Part): number | null {
  return shape.kind === 'patch' ? ellipseMm2(shape, 1) : null;
}
