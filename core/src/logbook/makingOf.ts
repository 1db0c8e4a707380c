import type { Wool } from '../engine/index.ts';
import type { Pattern } from '../pattern/index.ts';
import { expectedOf } from './expected.ts';
import {
  blankMaking,
  blankMakingLine,
  blankMakingPiece,
  blankMakingStep,
  type MakingInput,
  type MakingLine,
} from './making.ts';

/** Made by whoever writes it down. */
export type NewId = () => string;

/**
 * A page to be written down along a pattern: a bag for each fibre, the heaviest first, each of its pieces, each of its steps.
 * @param build as it is made, its options chosen
 */
export function makingOf(build: Pattern, wool: Wool, date: string, newId: NewId): MakingInput {
  const grams = new Map<string, number>();
  for (const { fibreId, pieceG, count } of expectedOf(build, wool, '').uses)
    grams.set(fibreId, (grams.get(fibreId) ?? 0) + pieceG * count);
  return {
    ...blankMaking(build.title, date),
    lines: [...grams]
      .toSorted(([, a], [, b]) => b - a)
      .map(([fibreId]) => blankMakingLine(newId(), { of: 'fibre', fibreId })),
    pieces: build.parts.map(({ id: partId }) => blankMakingPiece(newId(), { partId })),
    steps: build.steps.map(({ id: stepId, stage }) => blankMakingStep(newId(), { stepId, stage })),
  };
}

/** The bag of a fibre as a line for each layer it is in; what was weighed of the bag is let go. */
export function layersOfBag(line: MakingLine, build: Pattern, wool: Wool, newId: NewId): MakingLine[] {
  const uses = expectedOf(build, wool, '').uses.filter(({ fibreId }) => fibreId === line.fibreId);
  return uses.map(({ useId, partId, fibreId }) =>
    blankMakingLine(newId(), { of: 'use', useId, partId, fibreId, lotId: line.lotId }),
  );
}
