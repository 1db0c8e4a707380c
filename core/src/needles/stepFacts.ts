import { toMm } from '../base/index.ts';
import type { PatternEstimate, Wool } from '../engine/index.ts';
import {
  type ActKind,
  type Depth,
  isWool,
  needleTask,
  type NeedleTask,
  type Part,
  type Pattern,
  type Stage,
  type Step,
} from '../pattern/index.ts';
import { acrossMm } from '../shapes/index.ts';
import type { Fineness, Firmness } from '../shelf/index.ts';
import { joinedBy, workOnParts } from '../writing/index.ts';

/** Everything about a step that a needle may be good or bad for. Null: nobody knows. */
export interface StepFacts {
  readonly stepId: string;
  readonly stage: Stage;
  readonly act: ActKind;
  readonly task: NeedleTask;
  readonly depth: Depth | null;
  /** Needles at once. */
  readonly holder: number;
  /** How firm the least firm piece is before it; null: still loose wool. */
  readonly firmnessBefore: Firmness | null;
  /** How firm it is to become; null where that does not change. */
  readonly firmnessAfter: Firmness | null;
  /** Across the smallest piece that is worked in, mm. */
  readonly acrossMm: number | null;
  /** The smallest thing that is drawn, mm; null where nothing is. */
  readonly detailMm: number | null;
  /** How far barbs have to go in, mm. */
  readonly reachNeededMm: number | null;
  readonly isThinFlat: boolean;
  /** The surface it works on stays in sight. */
  readonly isVisible: boolean;
  /** What lies behind the wool. */
  readonly behind: { readonly sheet: boolean; readonly wire: boolean; readonly glass: boolean };
  /** The coarsest and the finest wool that is worked in. */
  readonly fineness: ReadonlySet<Fineness>;
}

/** A flat piece up to this thick is thin, mm. */
const THIN_MM = 5;
/** Light stabs go this deep, mm; deep ones into a thick piece go to its middle. Ours. */
const LIGHT_MM = 3;
const THICK_MM = 20;

const SURFACE_STAGES = new Set<Stage>(['coat', 'detail', 'hair', 'finish']);
const SHEET_WORD = /\b(?:felt|backing|second piece of) sheet\b|\bthe sheet\b/i;

/** The facts of every step that is in the pattern, by step id. */
export function factsOfSteps(
  pattern: Pattern,
  { parts: estimates }: Pick<PatternEstimate, 'parts'>,
  wool: Wool,
): Map<string, StepFacts> {
  const work = workOnParts(pattern);
  const solids = new Map(estimates.map(({ partId, solid }) => [partId, solid]));
  const partById = new Map(pattern.parts.map((part) => [part.id, part]));
  const facts = new Map<string, StepFacts>();
  pattern.steps.forEach((step, at) => {
    const parts = step.partIds.flatMap((id) => partById.get(id) ?? []);
    const worked = workedOn(step, parts, pattern);
    const sizes = worked.flatMap(({ id }) => {
      const solid = solids.get(id);
      return solid
        ? [{ acrossMm: acrossMm(solid), thickMm: Math.min(...solid.sizesMm), family: solid.family }]
        : [];
    });
    const across = smallest(sizes.map((size) => size.acrossMm));
    const thick = smallest(sizes.map(({ thickMm }) => thickMm));
    const isThinFlat = sizes.some(({ family, thickMm }) => family === 'flat' && thickMm <= THIN_MM);
    facts.set(step.id, {
      stepId: step.id,
      stage: step.stage,
      act: step.act.kind,
      task: needleTask(step),
      depth: step.depth,
      holder: step.holder ?? 1,
      firmnessBefore: firmnessBefore(parts, at, work),
      firmnessAfter: step.act.kind === 'make' || step.act.kind === 'felt' ? leastFirm(parts) : null,
      acrossMm: across,
      detailMm: needleTask(step) === 'detail' ? detailMm(worked, parts, across) : null,
      reachNeededMm: reachNeeded(step, thick),
      isThinFlat,
      isVisible: isVisible(step, parts),
      behind: behind(step, at, parts, pattern, wool),
      fineness: finenessOfWool(worked, wool),
    });
  });
  return facts;
}

const smallest = (values: readonly number[]): number | null =>
  values.length > 0 ? Math.min(...values) : null;

/** Of a join what is set on; otherwise everything it acts on. */
function workedOn(step: Step, parts: readonly Part[], pattern: Pattern): readonly Part[] {
  const joined = joinedBy(step, pattern);
  const set = parts.filter(({ id }) => joined.has(id));
  const laid = parts.filter(({ shape }) => shape.kind === 'patch');
  return set.length > 0 && step.joinIds.length > 0 ? set : laid.length > 0 ? laid : parts;
}

const FIRMNESS_ORDER = ['airy', 'springy', 'firm', 'solid'] as const satisfies readonly Firmness[];

const leastFirm = (parts: readonly Part[]): Firmness | null =>
  FIRMNESS_ORDER.find((firmness) => parts.some((part) => part.firmness === firmness)) ?? null;

const FELTED = new Set(['felted', 'joined', 'covered', 'trimmed']);

/** Felted by a step before: as firm as the part is meant to be. */
function firmnessBefore(
  parts: readonly Part[],
  at: number,
  work: ReturnType<typeof workOnParts>,
): Firmness | null {
  const isFelted = (part: Part) =>
    work
      .get(part.id)
      ?.some((partWork) => partWork.at < at && partWork.state !== null && FELTED.has(partWork.state)) ===
    true;
  return parts.length > 0 && parts.every(isFelted) ? leastFirm(parts) : null;
}

/** Dots and lines that are laid on in a step of details; else the piece itself, where it is small. */
function detailMm(worked: readonly Part[], parts: readonly Part[], across: number | null): number | null {
  const isPiece = worked.some(({ shape }) => shape.kind !== 'by-count') && across !== null;
  const dots = parts.flatMap(({ uses }) =>
    uses.flatMap((use) => (use.role === 'dot' && use.diameter ? [toMm(use.diameter)] : [])),
  );
  return smallest([...dots, ...(isPiece ? [across] : [])]);
}

function reachNeeded({ depth }: Step, thickMm: number | null): number | null {
  if (depth === 'light') return LIGHT_MM;
  if (depth === null || thickMm === null) return null;
  if (depth === 'half') return thickMm / 4;
  return thickMm > THICK_MM ? thickMm / 2 : thickMm;
}

/** Surfaces that stay: of coats, details and finishing, and of pieces that get no coat. */
const isVisible = ({ stage }: Step, parts: readonly Part[]): boolean =>
  SURFACE_STAGES.has(stage) ||
  (stage !== 'join' && parts.some(({ uses }) => uses.every(({ role }) => role !== 'coat')));

function behind(
  step: Step,
  at: number,
  parts: readonly Part[],
  pattern: Pattern,
  wool: Wool,
): StepFacts['behind'] {
  const ids = new Set(step.partIds);
  const before = pattern.steps.slice(0, at);
  const isGlass = (findingId: string | null) =>
    wool.findings.get(findingId ?? '')?.flags.includes('glass') === true;
  const isOn = (partId: string | null) =>
    partId !== null &&
    ids.has(partId) &&
    before.some(
      ({ act, partIds }) => partIds.includes(partId) && ['sew', 'glue', 'choose'].includes(act.kind),
    );
  return {
    sheet:
      SHEET_WORD.test(step.text) ||
      parts.some(({ uses }) =>
        uses.some((use) => {
          const preparation = isWool(use) ? wool.fibres.get(use.fibreId ?? '')?.preparation : undefined;
          return preparation === 'felt' || preparation === 'pre-felt';
        }),
      ),
    wire: parts.some(({ id, shape }) => shape.kind === 'sleeve' || isWired(id, step, before, pattern)),
    glass:
      parts.some(({ uses }) => uses.some((use) => use.role === 'insert' && isGlass(use.findingId))) ||
      pattern.findings.some(({ findingId, partId }) => isGlass(findingId) && isOn(partId)),
  };
}

/** A wire runs through the part, and a step of the skeleton, or one that speaks of wire, has put it there. */
const isWired = (partId: string, step: Step, before: readonly Step[], { cuts }: Pattern): boolean =>
  cuts.some((cut) => cut.kind === 'wire' && cut.segments.some((segment) => segment.partId === partId)) &&
  [...before, step].some(
    ({ partIds, stage, text }) =>
      partIds.includes(partId) && (stage === 'skeleton' || /\bwire\b/i.test(text)),
  );

function finenessOfWool(parts: readonly Part[], { fibres }: Wool): Set<Fineness> {
  const found = new Set<Fineness>();
  for (const { uses } of parts) {
    for (const use of uses) {
      const fineness = isWool(use) ? fibres.get(use.fibreId ?? '')?.fineness : null;
      if (fineness) found.add(fineness);
    }
  }
  return found;
}
