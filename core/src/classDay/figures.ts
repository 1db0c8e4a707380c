import type { PlannedMake } from './plan.ts';

/** Builds of one figure are one figure: all of their steps and pieces, each once, in the order of the pattern. */
export function figuresOf(makes: readonly PlannedMake[]): PlannedMake[] {
  const figures = new Map<string, PlannedMake>();
  for (const make of makes) {
    const before = figures.get(make.revisionId);
    const steps = new Map([...(before?.steps ?? []), ...make.steps].map((step) => [step.id, step]));
    const pieces = new Map([...make.pieces, ...(before?.pieces ?? [])].map((piece) => [piece.partId, piece]));
    figures.set(make.revisionId, {
      ...make,
      steps: [...steps.values()].toSorted((a, b) => a.number - b.number),
      pieces: [...pieces.values()],
    });
  }
  return [...figures.values()];
}
