import type { AmountForm, Pattern } from '../pattern/index.ts';
import { acrossMm } from '../shapes/index.ts';
import { type Fibre, fibreNumber, tooSmallFor } from '../shelf/index.ts';
import type { PatternEstimate } from './estimatePattern.ts';
import { hairBeyondStaple } from './hair.ts';
import { heldBySurface } from './heldBySurface.ts';
import { type LinearWarning, linearWarnings } from './linearWarnings.ts';
import type { PartEstimate } from './partEstimate.ts';
import type { FibreLookup } from './wool.ts';

/** Below this nobody felts a part of its own, mm. */
const LEAST_PART_MM = 3;

/** Something that can be made so, but ought to be looked at. Data only; worded at the edge. */
export type EngineWarning = { readonly partId: string } & (
  | { readonly code: 'all_coat'; readonly useId: string }
  | { readonly code: 'inserts_overfull'; readonly insertsCm3: number; readonly volumeCm3: number }
  | { readonly code: 'part_tiny'; readonly acrossMm: number }
  | {
      readonly code: 'fibre_coarse';
      readonly fibreId: string;
      readonly fitFromMm: number;
      readonly isDefault: boolean;
    }
  | {
      readonly code: 'hair_beyond_staple';
      readonly useId: string;
      readonly stripMm: number;
      readonly stapleMm: number;
    }
  | {
      readonly code: 'trimmings_short';
      readonly useId: string;
      readonly thereG: number;
      readonly wantedG: number;
    }
  /** Two statements of one amount that this lot cannot both make true. */
  | {
      readonly code: 'statements_differ';
      readonly useId: string;
      readonly countedLowG: number;
      readonly countedHighG: number;
      readonly form: AmountForm;
      readonly lowG: number;
      readonly highG: number;
    }
  | LinearWarning
  | {
      readonly code: 'stated_off';
      readonly useId: string;
      readonly statedG: number;
      readonly calculatedG: number;
    }
);

/** What to look at in a pattern that can be made as it stands. */
export function warningsOf(
  estimate: PatternEstimate,
  fibres: FibreLookup,
  pattern: Pick<Pattern, 'parts' | 'joins' | 'steps'>,
): EngineWarning[] {
  const held = heldBySurface(pattern, fibres);
  return [
    ...estimate.parts.flatMap((part) => [
      ...layerWarnings(part),
      ...(held.has(part.partId) ? [] : fibreWarnings(part, fibres)),
      ...part.working.uses.flatMap((working) => hairWarning(part.partId, working)),
      ...trimmingWarnings(part, estimate),
      ...part.uses.flatMap((use): EngineWarning[] =>
        use.kind === 'known' && use.comparison?.isOff
          ? [
              {
                code: 'stated_off',
                partId: part.partId,
                useId: use.useId,
                statedG: use.pieceG,
                calculatedG: use.comparison.calculatedG,
              },
            ]
          : [],
      ),
      ...part.uses.flatMap((use): EngineWarning[] =>
        use.kind === 'known'
          ? use.otherStatements
              .filter(({ isOff }) => isOff)
              .map(({ form, lowG, highG }) => ({
                code: 'statements_differ',
                partId: part.partId,
                useId: use.useId,
                countedLowG: use.range?.lowG ?? use.pieceG,
                countedHighG: use.range?.highG ?? use.pieceG,
                form,
                lowG,
                highG,
              }))
          : [],
      ),
    ]),
    ...linearWarnings(pattern),
  ];
}

function layerWarnings({ partId, working: { layers } }: PartEstimate): EngineWarning[] {
  if (!layers) return [];
  const cut = layers.shares.find(({ isCut }) => isCut);
  const { insertsCm3, volumeCm3, isOverfull } = layers;
  return [
    ...(cut && !isOverfull ? [{ code: 'all_coat', partId, useId: cut.useId } as const] : []),
    ...(isOverfull ? [{ code: 'inserts_overfull', partId, insertsCm3, volumeCm3 } as const] : []),
  ];
}

function fibreWarnings({ partId, solid, working }: PartEstimate, fibres: FibreLookup): EngineWarning[] {
  if (!solid || !working.layers) return [];
  const across = acrossMm(solid);
  const core = working.uses.find(({ use }) => use.role === 'core')?.use.fibreId ?? null;
  const fibre = core === null ? undefined : fibres.get(core);
  const smallest = fibre && tooSmallFor(fibre, across);
  return [
    ...(across < LEAST_PART_MM ? [{ code: 'part_tiny', partId, acrossMm: across } as const] : []),
    ...(smallest && fibre
      ? [
          {
            code: 'fibre_coarse',
            partId,
            fibreId: fibre.id,
            fitFromMm: smallest.value,
            isDefault: smallest.isDefault,
          } as const,
        ]
      : []),
  ];
}

function hairWarning(
  partId: string,
  { use, hair, fibre }: PartEstimate['working']['uses'][number],
): EngineWarning[] {
  if (!hair || typeof fibre !== 'object') return [];
  const stapleMm = stapleOf(fibre);
  return stapleMm !== null && hairBeyondStaple(hair, stapleMm) !== null
    ? [{ code: 'hair_beyond_staple', partId, useId: use.id, stripMm: hair.stripMm, stapleMm }]
    : [];
}

const stapleOf = (fibre: Fibre): number | null => fibreNumber(fibre, 'stapleMm')?.value ?? null;

/** Trimmings feed a part only as far as they go. */
function trimmingWarnings(part: PartEstimate, { parts }: PatternEstimate): EngineWarning[] {
  return part.working.uses.flatMap(({ use, calculated }): EngineWarning[] => {
    if (use.amount?.form !== 'trimmings' || calculated.kind === 'unknown' || !part.count) return [];
    const { ofUseId } = use.amount;
    const source = parts.find((other) =>
      other.working.uses.some((candidate) => candidate.use.id === ofUseId),
    );
    const hair = source?.working.uses.find((candidate) => candidate.use.id === ofUseId)?.hair;
    const thereG = (hair?.trimmingsG ?? 0) * (source?.count?.likely ?? 0);
    const wantedG = calculated.massG * part.count.likely;
    return hair && wantedG > thereG
      ? [{ code: 'trimmings_short', partId: part.partId, useId: use.id, thereG, wantedG }]
      : [];
  });
}
